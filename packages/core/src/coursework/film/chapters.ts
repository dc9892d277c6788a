/** The parts of a film, as they are typed: a line for each, its time first. */
import { MAX_CHAPTER, MAX_CHAPTERS } from '../../course/schema/coursework/film-schema.ts';
import type { Chapter } from '../../course/schema/coursework/film-schema.ts';
import { readLength, writeLength } from './length.ts';

export type ReadChapters =
  | { readonly ok: true; readonly chapters: readonly Chapter[] }
  | {
      readonly ok: false;
      readonly line: number;
      readonly text: string;
      readonly why: 'time' | 'title' | 'title_long' | 'order' | 'beyond' | 'many';
    };

/** @param seconds how long the film is; null: not known @returns the first line that is none, with why */
export function readChapters(text: string, seconds: number | null): ReadChapters {
  const chapters: Chapter[] = [];
  for (const [index, line] of text.split(/\r\n|\r|\n/).entries()) {
    if (line.trim() === '') continue;
    const wrong = (why: Extract<ReadChapters, { ok: false }>['why']): ReadChapters => ({
      ok: false,
      line: index + 1,
      text: line.trim(),
      why,
    });
    const match = /^\s*(\S+)\s*(.*?)\s*$/u.exec(line);
    const at = readLength(match?.[1] ?? '');
    const title = (match?.[2] ?? '').replace(/^[-–—]\s*/u, '');
    if (at === undefined || at === null) return wrong('time');
    if (title === '') return wrong('title');
    if (title.length > MAX_CHAPTER) return wrong('title_long');
    if (at <= (chapters.at(-1)?.at ?? -1)) return wrong('order');
    if (seconds !== null && at >= seconds) return wrong('beyond');
    if (chapters.length === MAX_CHAPTERS) return wrong('many');
    chapters.push({ at, title });
  }
  return { ok: true, chapters };
}

export const writeChapters = (chapters: readonly Chapter[]): string =>
  chapters.map(({ at, title }) => `${writeLength(at)} ${title}`).join('\n');
