/** What is handed in: whether it may be, and the words over which its receipt is made. */
import type { Assignment } from '../course/schema/items-schema.ts';
import { fileGroupOf } from './file-groups.ts';

export interface HandedFile {
  /** SHA-256 of its content. */
  readonly hash: string;
  readonly name: string;
  /** In bytes. */
  readonly size: number;
  readonly type: string;
}

export interface HandedIn {
  /** As it was typed; empty: nothing. */
  readonly text: string;
  readonly address: string;
  readonly files: readonly HandedFile[];
}

export const NOTHING_HANDED: HandedIn = { text: '', address: '', files: [] };

/** Where nobody has said how often: more than anybody needs, so that nobody fills the disk. */
export const MOST_HAND_INS = 100;

/** In characters. */
export const MAX_HANDED_TEXT = 100_000;

export type HandInFault =
  /** There is nothing in it but space. */
  | { readonly code: 'empty' }
  /** It takes none of that. */
  | { readonly code: 'no_text' | 'no_address' }
  | { readonly code: 'too_many'; readonly files: number; readonly most: number }
  | { readonly code: 'wrong_kind'; readonly name: string }
  | { readonly code: 'no_tries'; readonly tries: number };

type Settings = Pick<Assignment, 'takes' | 'tries'>;

/** @returns why a file is none of those that are taken; null: it is one */
export function fileFault({ takes }: Pick<Assignment, 'takes'>, file: HandedFile): HandInFault | null {
  const { kinds } = takes;
  if (kinds.length === 0) return null;
  const group = fileGroupOf(file.type);
  return group !== null && kinds.includes(group) ? null : { code: 'wrong_kind', name: file.name };
}

/** @param before how often it has been handed in already */
export function handInFault(settings: Settings, what: HandedIn, before: number): HandInFault | null {
  const { takes } = settings;
  const tries = settings.tries ?? MOST_HAND_INS;
  if (before >= tries) return { code: 'no_tries', tries };
  const [hasText, hasAddress] = [what.text.trim() !== '', what.address.trim() !== ''];
  if (!hasText && !hasAddress && what.files.length === 0) return { code: 'empty' };
  if (hasText && !takes.text) return { code: 'no_text' };
  if (hasAddress && !takes.address) return { code: 'no_address' };
  if (what.files.length > takes.files)
    return { code: 'too_many', files: what.files.length, most: takes.files };
  return what.files.map((file) => fileFault(settings, file)).find((fault) => fault !== null) ?? null;
}

export interface ReceiptFacts extends HandedIn {
  readonly course: string;
  readonly item: string;
  readonly person: string;
  readonly attempt: number;
  /** By the server’s clock, ISO, UTC. */
  readonly at: string;
}

/**
 * What a receipt's hash is made over: the same content, person, item, attempt and moment, and nothing else, gives the
 * same words.
 */
export function receiptWords(facts: ReceiptFacts): string {
  const { course, item, person, attempt, at, text, address, files } = facts;
  const named = files.map(({ hash, name, size }) => [hash, name, size]);
  return JSON.stringify([1, course, item, person, attempt, at, text, address, named]);
}

/** The largest file in megabytes, and which of the three holds it there. */
export function largestFile(
  institution: number,
  course: number | null,
  item: number | null,
): { readonly megabytes: number; readonly by: 'institution' | 'course' | 'item' } {
  const inCourse = course !== null && course < institution ? course : institution;
  if (item !== null && item < inCourse) return { megabytes: item, by: 'item' };
  return { megabytes: inCourse, by: inCourse < institution ? 'course' : 'institution' };
}

/** @returns percent of what can be reached; null: nothing can */
export const scoreOf = (points: number, total: number | null): number | null =>
  total === null || total === 0 ? null : Math.min(100, (points / total) * 100);
