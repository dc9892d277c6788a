/**
 * Numbers: sections 1, 2, …; items 2.1, 2.2, … in reading order through folders (docs/semantics.md,
 * Numbering). What learners never get takes no number, nor does anything below it; headings and folders
 * take none; what stands outside the calendar takes one only if told so. A counted pause takes a section's.
 */
import type { Item } from './schema/items-schema.ts';
import type { Numbering, Section } from './schema/schema.ts';
import { isForLearners } from './tree.ts';
import { isHolder } from './tree.ts';
import { isContentKind } from './schema/kinds.ts';

/** A section's own number, and what its items count from. */
export interface SectionNumber {
  /** As written, or null. */
  readonly number: string | null;
  /** The number that the first of its items gets, less one. */
  readonly before: number;
}

export function isNumbered(section: Section, { style }: Numbering): boolean {
  return style !== 'none' && isForLearners(section) && (!section.outside || section.numbered);
}

/** Numbers of a section's items, by id. Items of a section without a number have none. */
export function numberItems(
  section: Section,
  { number, before }: SectionNumber,
  { style }: Numbering,
): ReadonlyMap<string, string> {
  const numbers = new Map<string, string>();
  if (number === null || style !== 'items') return numbers;
  let count = before;
  const visit = (items: readonly Item[]): void => {
    for (const item of items) {
      if (!isForLearners(item)) continue;
      if (isHolder(item)) visit(item.items);
      else if (isContentKind(item.kind)) {
        count += 1;
        numbers.set(item.id, `${number}.${count}`);
      }
    }
  };
  visit(section.items);
  return numbers;
}
