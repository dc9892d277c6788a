/**
 * What is done, said the slow way: each condition by going through all deeds anew, each rule by asking at every moment
 * whether it was met by then. Shares nothing with core but the document.
 */
import type { CoursePart, DoneCondition, DoneRule, Item, Section, Want } from '../../src/index.ts';
import type { Deed } from '../../src/deeds/facts.ts';

const UNDOES = ['unticked', 'absent', 'unposted', 'unmarked'];
/** Of equal moments what undoes comes last; of two marks of staff the lower, and what is taken back after all. */
function rank(deed: Deed): number {
  if (deed.kind === 'taken_back') return 1000;
  if (deed.kind === 'scored' && deed.by === 'staff') return 500 - (deed.percent ?? -1);
  return UNDOES.includes(deed.kind) ? 1 : 0;
}
const inOrder = (deeds: readonly Deed[]): readonly Deed[] =>
  [...deeds].sort((a, b) => a.at - b.at || rank(a) - rank(b));

export interface NaiveTerms {
  readonly pass: number | null;
  readonly tooLate: number;
}

function naiveCondition(one: DoneCondition, deeds: readonly Deed[], pass: number | null): number {
  let since = Infinity;
  let from = -Infinity;
  let standing = 0;
  const hold = (at: number): void => {
    if (since === Infinity) since = at;
  };
  for (const deed of inOrder(deeds)) {
    const { at } = deed;
    if (deed.kind === 'taken_back') [since, from, standing] = [Infinity, at, 0];
    if (one.by === 'opened' && deed.kind === 'opened') hold(at);
    if (one.by === 'handed_in' && deed.kind === 'handed_in') hold(at);
    if (one.by === 'ticked' && deed.kind === 'ticked') hold(at);
    if (one.by === 'ticked' && deed.kind === 'unticked') since = Infinity;
    if (one.by === 'attended' && deed.kind === 'attended') hold(at);
    if (one.by === 'attended' && deed.kind === 'absent') since = Infinity;
    if (one.by === 'watched' && deed.kind === 'watched' && deed.percent >= one.least) hold(at);
    if (one.by === 'posted' || one.by === 'replied') {
      if (deed.kind === 'replied' || (deed.kind === 'posted' && one.by === 'posted')) standing += 1;
      const isOf = deed.kind === 'unposted' && (one.by === 'posted' || deed.reply) && deed.posted > from;
      if (isOf) standing -= 1;
      if (standing >= one.least) hold(at);
    }
    if ((one.by === 'scored' || one.by === 'passed') && deed.kind === 'scored') {
      const least = one.by === 'scored' ? one.least : pass;
      const isEnough = least !== null && deed.percent !== null && deed.percent >= least;
      if (isEnough) hold(at);
      else if (deed.by === 'staff') since = Infinity;
    }
  }
  return since;
}

export function naiveDone(rule: DoneRule, deeds: readonly Deed[], { pass, tooLate }: NaiveTerms): number {
  const all = rule.by === 'all' || rule.by === 'any' ? rule.of : [rule];
  const sinces = all
    .map((one) => naiveCondition(one, deeds, pass))
    .map((at) => (at < tooLate ? at : Infinity));
  const byRule = rule.by === 'any' ? Math.min(...sinces) : Math.max(...sinces);
  let [marked, kept] = [Infinity, Infinity];
  for (const deed of inOrder(deeds)) {
    if (deed.kind === 'taken_back') [marked, kept] = [Infinity, Infinity];
    if (deed.kind === 'marked') marked = Math.min(marked, deed.at);
    if (deed.kind === 'unmarked') marked = Infinity;
    if (deed.kind === 'kept') kept = Math.min(kept, deed.since);
  }
  return Math.min(byRule, marked, kept);
}

export interface NaiveItem {
  readonly id: string;
  readonly item: Item;
  readonly section: string;
  readonly isCounted: boolean;
  /** Infinity: it is not done. */
  readonly since: number;
  readonly minutes: number;
}

export interface NaiveCourse {
  readonly id: string;
  readonly rule: { readonly match: 'all' | 'any'; readonly of: readonly CoursePart[] } | null;
  readonly sections: readonly Section[];
  readonly items: readonly NaiveItem[];
  /** Of meetings that can be attended, since when they were; and since when an item has so many percent. */
  readonly attended: ReadonlyMap<string, number>;
  readonly scored: (item: string, least: number) => number;
}

function isEnough(want: Want, all: readonly { isDone: boolean; minutes: number }[]): boolean {
  const done = all.filter((one) => one.isDone);
  switch (want.how) {
    case 'all':
      return all.length > 0 && done.length === all.length;
    case 'any':
      return done.length > 0;
    case 'least':
      return done.length >= want.count;
    case 'share':
      return all.length > 0 && done.length * 100 >= want.percent * all.length;
    case 'minutes':
      return done.reduce((sum, one) => sum + one.minutes, 0) >= want.minutes;
  }
}

/** Whether it was done by this moment; null: there is nothing that counts. */
function sectionBy(course: NaiveCourse, section: Section, at: number): boolean | null {
  const own = course.items.filter((one) => one.section === section.id && one.isCounted);
  if (own.length === 0) return null;
  const named = section.done?.named ?? [];
  const asked = named.length === 0 ? own : askedFor(course, named);
  return isEnough(
    section.done?.want ?? { how: 'all' },
    asked.map((one) => ({ isDone: one.since <= at, minutes: one.minutes })),
  );
}

const askedFor = (
  course: NaiveCourse,
  named: readonly string[],
): readonly { since: number; minutes: number }[] =>
  [...new Set(named)].map((id) => {
    const found = course.items.find((one) => one.id === id);
    return { since: found?.since ?? Infinity, minutes: found?.isCounted === true ? found.minutes : 0 };
  });

function partBy(course: NaiveCourse, part: CoursePart, at: number): boolean {
  if (part.over === 'scored') return course.scored(part.item, part.least) <= at;
  if (part.over === 'attended') {
    const all = [...course.attended.values()].map((since) => ({ isDone: since <= at, minutes: 0 }));
    return isEnough(part.want, all);
  }
  if (part.over === 'sections') {
    const states = course.sections
      .filter(({ id }) => part.named.length === 0 || part.named.includes(id))
      .map((section) => sectionBy(course, section, at))
      .filter((state) => state !== null);
    return isEnough(
      part.want,
      states.map((isDone) => ({ isDone, minutes: 0 })),
    );
  }
  const isKind = (id: string): boolean =>
    part.kind === null || course.items.find((one) => one.id === id)?.item.kind === part.kind;
  const asked =
    part.named.length > 0
      ? askedFor(course, part.named.filter(isKind))
      : course.items.filter(({ id, isCounted }) => isCounted && isKind(id));
  return isEnough(
    part.want,
    asked.map((one) => ({ isDone: one.since <= at, minutes: one.minutes })),
  );
}

function courseBy(course: NaiveCourse, at: number): boolean {
  const counted = course.items.filter(({ isCounted }) => isCounted);
  if (counted.length === 0) return false;
  if (course.rule === null) return counted.every(({ since }) => since <= at);
  const met = course.rule.of.map((part) => partBy(course, part, at));
  return course.rule.match === 'all' ? met.every(Boolean) : met.some(Boolean);
}

/** The first of these moments by which it was so; null: by none. */
const firstOf = (moments: readonly number[], isSo: (at: number) => boolean): number | null =>
  [...moments].sort((a, b) => a - b).find(isSo) ?? null;

export function naiveSince(
  course: NaiveCourse,
  moments: readonly number[],
): { readonly course: number | null; readonly sections: ReadonlyMap<string, number> } {
  const sections = new Map<string, number>();
  for (const section of course.sections) {
    const at = firstOf(moments, (moment) => sectionBy(course, section, moment) === true);
    if (at !== null) sections.set(section.id, at);
  }
  return { course: firstOf(moments, (moment) => courseBy(course, moment)), sections };
}
