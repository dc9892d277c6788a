/** The course file on the command line: what needs no database. */
import { courseFileJsonSchema } from '@itinerary/core';
import { planAsText, planOf } from './plan-file.ts';
import { accessAsText, accessOf } from './access-file.ts';
import { readCourseFile } from './read-course-file.ts';
import { readWords } from './words.ts';

const USAGE = `npm run -s course -- COMMAND
  export CODE             writes a course as one JSON file to standard output
  import FILE             reads a course file into the database
  plan FILE [--json] [--at MOMENT]
                          prints its computed sections, pauses, moments and findings; needs no database.
                          MOMENT is when findings are asked (2027-01-11T09:00:00Z); left out, it is now
  access FILE [--as PERSON] [--joined DAY] [--at MOMENT] [--json]
                          prints what somebody gets of it, and which layer decided; needs no database.
                          PERSON is learner unless said: instructor, assistant, visitor, staff, nobody
  schema                  prints the JSON Schema of the course file`;

/**
 * @param now the instant that findings are asked at when no other is given (ISO, UTC).
 * @returns the exit code: 0 done, 1 the file is not as expected, 2 the words are not.
 */
export function runCli(
  given: readonly string[],
  out: (text: string) => void,
  err: (text: string) => void,
  now: string,
): number {
  const words = readWords(given);
  if (typeof words === 'string') {
    err(`${words}\n${USAGE}`);
    return 2;
  }
  const { command, rest, json, at, as, joined } = words;
  if (command === 'schema' && rest.length === 0) {
    out(JSON.stringify(courseFileJsonSchema(), null, 2));
    return 0;
  }
  const [file, ...more] = rest;
  if ((command !== 'plan' && command !== 'access') || file === undefined || more.length > 0) {
    err(USAGE);
    return 2;
  }
  const read = readCourseFile(file);
  if (!read.ok) {
    read.sentences.forEach((sentence) => err(sentence));
    return 1;
  }
  const written = (value: unknown, text: string): string => (json ? JSON.stringify(value, null, 2) : text);
  if (command === 'access') {
    const access = accessOf(read.file.course, { as, joined, at: at ?? now });
    out(written(access, accessAsText(access)));
    return 0;
  }
  const plan = planOf(read.file, at ?? now);
  out(written(plan, planAsText(plan)));
  return 0;
}
