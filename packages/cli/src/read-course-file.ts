/** Reads a course file from disk; what is wrong comes back as sentences that name the place and the value. */
import { readFileSync } from 'node:fs';
import { parseCourseFile } from '@itinerary/core';
import type { CourseFile, Mistake } from '@itinerary/core';

export type FileRead =
  | { readonly ok: true; readonly file: CourseFile }
  | { readonly ok: false; readonly sentences: readonly string[] };

export function readCourseFile(path: string): FileRead {
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch (error) {
    const missing = (error as NodeJS.ErrnoException).code === 'ENOENT';
    return fail(
      missing ? `${path}: there is no such file` : `${path}: cannot be read (${(error as Error).message})`,
    );
  }
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    return fail(`${path}: is not JSON (${(error as Error).message})`);
  }
  const parsed = parseCourseFile(data);
  if (parsed.ok) return { ok: true, file: parsed.value };
  return { ok: false, sentences: parsed.mistakes.map((mistake) => `${path}: ${sentenceOf(mistake)}`) };
}

function fail(sentence: string): FileRead {
  return { ok: false, sentences: [sentence] };
}

const MOST_SHOWN = 60;

export function sentenceOf({ path, value, expected }: Mistake): string {
  const found = value === undefined ? 'nothing' : JSON.stringify(value);
  const shown = found.length > MOST_SHOWN ? `${found.slice(0, MOST_SHOWN)}…` : found;
  return `at ${path === '' ? 'the top' : path} stands ${shown}; expected: ${expected}`;
}
