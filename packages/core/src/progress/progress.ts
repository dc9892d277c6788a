/**
 * Where somebody stands at a moment: what is done and since when, how much of it all, what is next, and what is behind,
 * each with its reason (docs/semantics.md, Progress).
 */
import { accessAt } from '../access/resolve.ts';
import type { NodeAnswers } from '../access/resolve.ts';
import { NOTHING_DONE } from '../access/roles.ts';
import type { Deeds, Viewer } from '../access/roles.ts';
import type { Course } from '../course/schema/schema.ts';
import { countingOf } from './counting.ts';
import type { CountedItem, Counting } from './counting.ts';
import { standingTo } from '../deeds/done.ts';
import type { Done, Standing } from '../deeds/done.ts';
import { NO_FACTS_YET, topOf } from '../deeds/facts.ts';
import type { Deed, Facts } from '../deeds/facts.ts';
import { factsOf, reckon } from './reckon.ts';
import type { Ledger } from './ledger.ts';
import type { Reached } from '../deeds/reached.ts';

/** So much of so much; of nothing there is none. */
export interface Part {
  readonly done: number;
  readonly counted: number;
}

export interface Shares {
  /** By their number; null: nothing counts, and that is neither nothing nor all. */
  readonly items: Part | null;
  /** By their minutes. */
  readonly minutes: Part | null;
}

export interface ItemProgress {
  readonly id: string;
  readonly section: string;
  /** Milliseconds since 1970-01-01T00:00Z; null: it is not done. */
  readonly since: number | null;
  readonly by: Done['by'] | null;
  /** What its rule asks, and how far that is. */
  readonly standing: Standing;
  /** Since when it is behind, if it is. */
  readonly behindSince: number | null;
}

export interface SectionProgress extends Shares {
  readonly id: string;
  /** Null: it is not done, or it has nothing that counts. */
  readonly since: number | null;
}

export interface Progress {
  readonly share: Shares;
  readonly items: readonly ItemProgress[];
  /** In reading order; those that have nothing that counts, and never were done, are not there. */
  readonly sections: readonly SectionProgress[];
  readonly since: number | null;
  /** Null: there is nothing to be done now. */
  readonly next: string | null;
  /** Ids, the longest behind first. */
  readonly behind: readonly string[];
  /** Done, and not wanted yet: ids, in reading order. Whoever is behind is not ahead. */
  readonly ahead: readonly string[];
}

/** What is known of somebody. */
export interface DoneThings {
  readonly facts: ReadonlyMap<string, Facts>;
  readonly reached?: ReadonlyMap<string, Reached>;
}

/**
 * @param deeds those of this person in this course, in any order
 * @param moment the instant asked about (ISO, UTC): what came later does not count yet
 */
export function progress(course: Course, deeds: readonly Deed[], viewer: Viewer, moment: string): Progress {
  const at = Date.parse(moment);
  const facts = factsOf(deeds.filter((deed) => deed.at <= at));
  return progressAt(course, { facts }, viewer, at);
}

/** @param at milliseconds since 1970-01-01T00:00Z. */
export function progressAt(course: Course, things: DoneThings, viewer: Viewer, at: number): Progress {
  const counting = countingOf(course, viewer, at);
  const ledger = reckon(counting, things.facts, things.reached);
  const deeds = deedsOf(ledger, things.facts, viewer.deeds?.courses);
  const { nodes } = accessAt(course, { ...viewer, deeds }, at);
  return progressOf(counting, ledger, things.facts, nodes, at);
}

/** What the openings of a course ask somebody's deeds about. */
export function deedsOf(
  ledger: Ledger,
  facts: ReadonlyMap<string, Facts>,
  courses: Deeds['courses'] = NOTHING_DONE.courses,
): Deeds {
  const scores = new Map<string, number>();
  for (const [id, own] of facts) {
    const top = topOf(own);
    if (top !== null) scores.set(id, top);
  }
  return {
    done: new Set(ledger.done.keys()),
    since: new Map([...ledger.done].map(([id, { since }]) => [id, since])),
    ...{ scores, courses },
  };
}

export function progressOf(
  counting: Counting,
  ledger: Ledger,
  facts: ReadonlyMap<string, Facts>,
  answers: NodeAnswers,
  at: number,
): Progress {
  const { items, sections } = counting;
  const isDone = ({ id }: CountedItem): boolean => ledger.done.has(id);
  const isLate = (item: CountedItem): boolean => !isDone(item) && item.ends !== null && at >= item.ends;
  const behind = items.filter(isLate).sort((a, b) => (a.ends ?? 0) - (b.ends ?? 0));
  const early = items.filter((item) => isDone(item) && item.ends !== null && at < item.ends);
  return {
    share: sharesOf(items, isDone),
    items: items.map((item) => {
      const done = ledger.done.get(item.id);
      return {
        id: item.id,
        section: sections[item.section]?.id ?? '',
        since: done?.since ?? null,
        by: done?.by ?? null,
        standing: standingTo(item.rule, facts.get(item.id) ?? NO_FACTS_YET, item.terms),
        behindSince: isLate(item) ? item.ends : null,
      };
    }),
    sections: sections
      .filter(({ id, items: own }) => own.length > 0 || ledger.reached.has(id))
      .map(({ id, items: own }) => ({
        id,
        since: ledger.reached.get(id)?.since ?? null,
        ...sharesOf(
          own.map((one) => items[one]).filter((one) => one !== undefined),
          isDone,
        ),
      })),
    since: ledger.reached.get(counting.plan.course.id)?.since ?? null,
    next: openNext(items, isDone, answers)?.id ?? null,
    behind: behind.map(({ id }) => id),
    ahead: behind.length > 0 ? [] : early.map(({ id }) => id),
  };
}

/** Not done, open, and wanted first; of those wanted at the same moment the first in reading order. */
export const openNext = (
  items: readonly CountedItem[],
  isDone: (item: CountedItem) => boolean,
  answers: NodeAnswers,
): CountedItem | null =>
  items
    .filter((item) => !isDone(item) && answers.get(item.id)?.state === 'open')
    .reduce<CountedItem | null>(
      (first, item) => (first === null || item.wanted < first.wanted ? item : first),
      null,
    );

export function sharesOf(items: readonly CountedItem[], isDone: (item: CountedItem) => boolean): Shares {
  if (items.length === 0) return { items: null, minutes: null };
  const done = items.filter(isDone);
  const sum = (of: readonly CountedItem[]): number => of.reduce((all, { weight }) => all + weight, 0);
  return {
    items: { done: done.length, counted: items.length },
    minutes: { done: sum(done), counted: sum(items) },
  };
}
