/** The course file on the command line: what needs no database. */
import { courseFileJsonSchema } from '@itinerary/core';
import { planAsText, planOf } from './plan-file.ts';
import { accessAsText, accessOf, unknownGroups, whyAsText, whyOf } from './access-file.ts';
import { readCourseFile } from './read-course-file.ts';
import { readWords } from './words.ts';

const USAGE = `npm run -s course -- COMMAND
  export CODE             writes a course as one JSON file to standard output
  import FILE             reads a course file into the database
  plan FILE [--json] [--at MOMENT]
                          prints its computed sections, pauses, moments and findings; needs no database.
                          MOMENT is when findings are asked (2027-01-11T09:00:00Z); left out, it is now
  access FILE [--as PERSON] [--joined DAY] [--in GROUPS] [--done ITEMS] [--at MOMENT] [--json]
                          prints what somebody gets of it, which layer decided, and what changes next; needs no
                          database. PERSON is learner unless said: instructor, assistant, visitor, staff (of the
                          institution), nobody (signed in, not in the course), passer_by (not signed in)
  why FILE NODE [--as PERSON] [--joined DAY] [--in GROUPS] [--done ITEMS] [--at MOMENT] [--json]
                          prints every layer between somebody and a section or item, and what would open it;
                          NODE is its id, or its number such as 2.3
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
  const { command, rest, json, at, as, joined, groups, done } = words;
  if (command === 'schema' && rest.length === 0) {
    out(JSON.stringify(courseFileJsonSchema(), null, 2));
    return 0;
  }
  const [file, ...more] = rest;
  const takes = { plan: 0, access: 0, why: 1 }[command ?? ''];
  if (file === undefined || takes === undefined || more.length !== takes) {
    err(USAGE);
    return 2;
  }
  const read = readCourseFile(file);
  if (!read.ok) {
    read.sentences.forEach((sentence) => err(sentence));
    return 1;
  }
  const written = (value: unknown, text: string): string => (json ? JSON.stringify(value, null, 2) : text);
  const { course } = read.file;
  const asked = { as, joined, at: at ?? now, groups, done };
  const [unknown] = unknownGroups(course, asked);
  if (unknown !== undefined) {
    err(`after --in stands "${unknown}"; expected: a group or class of ${course.code}, by id or name`);
    return 1;
  }
  if (command === 'why') {
    const node = more[0] as string;
    const why = whyOf(course, node, asked);
    if (why === null) {
      err(
        `${file}: at NODE stands "${node}"; expected: the id or number of a section or item of ${course.code}`,
      );
      return 1;
    }
    out(written(why, whyAsText(why)));
    return 0;
  }
  if (command === 'access') {
    const access = accessOf(course, asked);
    out(written(access, accessAsText(access)));
    return 0;
  }
  const plan = planOf(read.file, asked.at);
  out(written(plan, planAsText(plan)));
  return 0;
}
