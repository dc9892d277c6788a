/** A course file as its bytes: what is wrong with them comes back as sentences that name the place and the value. */
import type { Mistake } from './schema/basics.ts';
import { parseCourseFile } from './file.ts';
import type { CourseFile } from './file.ts';

export type FileRead =
  | { readonly ok: true; readonly file: CourseFile }
  | { readonly ok: false; readonly sentences: readonly string[] };

/** A file in another format has a mistake in every line: the first few say which. */
export const MOST_TOLD = 20;

const refused = (...sentences: string[]): FileRead => ({ ok: false, sentences });

/** @param bytes in UTF-8; a byte order mark before it is read over. */
export function readCourseFile(bytes: Uint8Array): FileRead {
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return refused(`${placeOfBadByte(bytes)}; expected: a text in UTF-8. Save it anew in that encoding`);
  }
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    return refused(`is not JSON (${(error as Error).message})`);
  }
  const parsed = parseCourseFile(data);
  return parsed.ok ? { ok: true, file: parsed.value } : refused(...sentencesOf(parsed.mistakes));
}

/** Where the first letter stands that is none in UTF-8: read byte by byte, each of which ends one or goes on. */
function placeOfBadByte(bytes: Uint8Array): string {
  const decoder = new TextDecoder('utf-8', { fatal: true });
  /** Where the letter begins that is being read. */
  let begin = 0;
  let line = 1;
  try {
    for (const [at, byte] of bytes.entries()) {
      const isWhole = decoder.decode(bytes.subarray(at, at + 1), { stream: true }) !== '';
      if (isWhole) begin = at + 1;
      if (byte === 10) line += 1;
    }
    return 'at its end stands half of a letter';
  } catch {
    const byte = (bytes[begin] as number).toString(16).padStart(2, '0');
    return `at byte ${begin + 1}, in line ${line}, stands 0x${byte}`;
  }
}

/** The first mistakes, a sentence each, and how many more there are. */
export function sentencesOf(mistakes: readonly Mistake[]): readonly string[] {
  const told = mistakes.slice(0, MOST_TOLD).map(sentenceOf);
  const rest = mistakes.length - told.length;
  return rest === 0 ? told : [...told, `and ${rest} more`];
}

const MOST_SHOWN = 60;

export function sentenceOf({ path, value, expected }: Mistake): string {
  const found = value === undefined ? 'nothing' : beginningOf(value);
  const shown = found.length > MOST_SHOWN ? `${found.slice(0, MOST_SHOWN)}…` : found;
  return `at ${path === '' ? 'the top' : path} stands ${shown}; expected: ${expected}`;
}

/** As JSON, as far as it is shown: what stands there can be the whole of a file. */
export function beginningOf(value: unknown, room = MOST_SHOWN + 1): string {
  if (typeof value === 'string') return JSON.stringify(value.slice(0, room));
  if (value === null || typeof value !== 'object') return String(value);
  const [open, close] = Array.isArray(value) ? ['[', ']'] : ['{', '}'];
  let text = open;
  for (const key in value) {
    if (text.length >= room) return text;
    if (text !== open) text += ',';
    if (open === '{') text += `${JSON.stringify(key)}:`;
    text += beginningOf((value as Record<string, unknown>)[key], room - text.length);
  }
  return `${text}${close}`;
}
