/** The course file on the command line: what needs no database. */
import { courseFileJsonSchema } from '@itinerary/core';
import { planAsText, planOf } from './plan-file.ts';
import { readCourseFile } from './read-course-file.ts';

const USAGE = `npm run -s course -- COMMAND
  export CODE             writes a course as one JSON file to standard output
  import FILE             reads a course file into the database
  plan FILE [--json]      prints its computed sections and days; needs no database
  schema                  prints the JSON Schema of the course file`;

/** @returns the exit code: 0 done, 1 the file is not as expected, 2 the words are not. */
export function runCli(
  words: readonly string[],
  out: (text: string) => void,
  err: (text: string) => void,
): number {
  const flags = words.filter((word) => word.startsWith('--'));
  const [command, ...rest] = words.filter((word) => !word.startsWith('--'));
  const strange = flags.find((flag) => flag !== '--json');
  if (strange !== undefined) {
    err(`"${strange}" is not known here; only --json is\n${USAGE}`);
    return 2;
  }
  if (command === 'schema' && rest.length === 0) {
    out(JSON.stringify(courseFileJsonSchema(), null, 2));
    return 0;
  }
  const [file, ...more] = rest;
  if (command !== 'plan' || file === undefined || more.length > 0) {
    err(USAGE);
    return 2;
  }
  const read = readCourseFile(file);
  if (!read.ok) {
    read.sentences.forEach((sentence) => err(sentence));
    return 1;
  }
  const plan = planOf(read.file.course);
  out(flags.includes('--json') ? JSON.stringify(plan, null, 2) : planAsText(plan));
  return 0;
}
