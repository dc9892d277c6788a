/** The course file on the command line: what needs no database. */
import { courseFileJsonSchema } from '@itinerary/core';
import { planAsText, planOf } from './plan-file.ts';
import { readCourseFile } from './read-course-file.ts';

const USAGE = `npm run -s course -- COMMAND
  export CODE             writes a course as one JSON file to standard output
  import FILE             reads a course file into the database
  plan FILE [--json] [--at MOMENT]
                          prints its computed sections, pauses, moments and findings; needs no database.
                          MOMENT is when findings are asked (2027-01-11T09:00:00Z); left out, it is now
  schema                  prints the JSON Schema of the course file`;

interface Words {
  readonly command: string | undefined;
  readonly rest: readonly string[];
  readonly json: boolean;
  readonly at: string | null;
}

/** A sentence when a word is not known here. */
function readWords(words: readonly string[]): Words | string {
  const plain: string[] = [];
  let json = false;
  let at: string | null = null;
  for (let index = 0; index < words.length; index += 1) {
    const word = words[index] as string;
    if (word === '--json') json = true;
    else if (word === '--at') {
      index += 1;
      at = words[index] ?? '';
      if (Number.isNaN(Date.parse(at)) || !/T.*(Z|[+-]\d\d:\d\d)$/.test(at)) {
        return `after --at stands "${at}"; expected: a moment such as 2027-01-11T09:00:00Z`;
      }
    } else if (word.startsWith('--')) return `"${word}" is not known here; --json and --at are`;
    else plain.push(word);
  }
  const [command, ...rest] = plain;
  return { command, rest, json, at };
}

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
  const { command, rest, json, at } = words;
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
  const plan = planOf(read.file, at ?? now);
  out(json ? JSON.stringify(plan, null, 2) : planAsText(plan));
  return 0;
}
