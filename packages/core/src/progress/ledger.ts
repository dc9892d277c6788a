/**
 * How somebody stands: what is done of items, sections and the course, as it is kept and gone on from. Once a section or
 * the course is done it stays so when items are added, moved or removed: until what it was done by is undone, or a rule
 * becomes another one (docs/semantics.md, Progress).
 */
import type { Counting } from './counting.ts';
import type { Done } from '../deeds/done.ts';
import { since, stepsOf } from '../deeds/facts.ts';
import type { Facts } from '../deeds/facts.ts';
import type { Reached } from '../deeds/reached.ts';

/** In the place of a sign: whatever the rules are now. */
export const KEPT = 'kept';

/** Changed in place, deed by deed. */
export interface Ledger {
  /** By item that is done, counted or not. */
  readonly done: Map<string, Done>;
  /** Of the items that the course's rule asks about by themselves. */
  readonly facts: Map<string, Facts>;
  /** By section, and the course by its own id. */
  readonly reached: Map<string, Reached>;
  /** How many of each section's counted items are done. */
  readonly doneIn: number[];
}

/** What stands for something else than an item's being done. */
export const sectionKey = (id: string): string => `section:${id}`;
export const attendedKey = (id: string): string => `attended:${id}`;
export const scoredKey = (id: string, least: number): string => `scored:${least}:${id}`;

/** Since when what a key stands for is done; infinity: it is not. */
export function sinceOf(ledger: Ledger, key: string): number {
  if (key.startsWith('section:')) return ledger.reached.get(key.slice('section:'.length))?.since ?? Infinity;
  if (key.startsWith('attended:'))
    return ledger.facts.get(key.slice('attended:'.length))?.attended ?? Infinity;
  if (key.startsWith('scored:')) {
    const at = key.indexOf(':', 'scored:'.length);
    const least = Number(key.slice('scored:'.length, at));
    return since(stepsOf(ledger.facts.get(key.slice(at + 1))?.marks), least);
  }
  return ledger.done.get(key)?.since ?? Infinity;
}

/** The ledger of what was kept; of items that the course's rule asks about by themselves it knows nothing. */
export function ledgerOf(
  { sections, items }: Counting,
  done: Readonly<Record<string, Done>>,
  reached: Readonly<Record<string, Reached>>,
): Ledger {
  const all = new Map(Object.entries(done));
  return {
    done: all,
    facts: new Map(),
    reached: new Map(Object.entries(reached)),
    doneIn: sections.map(({ items: own }) => own.filter((at) => all.has(items[at]?.id ?? '')).length),
  };
}
