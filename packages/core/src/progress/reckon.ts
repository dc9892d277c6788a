/**
 * What somebody has done, by items, sections and the course, from deed to deed: one deed costs what it changes, and comes
 * to the same as all of them from nothing (docs/semantics.md, Progress).
 */
import type { CoursePart, DoneRule, Want } from '../course/schema/progress-schema.ts';
import type { Counting } from './counting.ts';
import { doneBy } from '../deeds/done.ts';
import type { Done } from '../deeds/done.ts';
import { countWanted, enough, joined, latest } from './enough.ts';
import type { Member } from './enough.ts';
import { fold, NO_FACTS_YET } from '../deeds/facts.ts';
import type { Deed, Facts } from '../deeds/facts.ts';
import { attendedKey, KEPT, scoredKey, sectionKey, sinceOf } from './ledger.ts';
import type { Ledger } from './ledger.ts';
import type { Reached } from '../deeds/reached.ts';
import { signOf } from './sign.ts';

type AllFacts = ReadonlyMap<string, Facts>;
type AllReached = ReadonlyMap<string, Reached>;

/** In the order of their moments. */
export function factsOf(deeds: readonly Deed[]): Map<string, Facts> {
  const facts = new Map<string, Facts>();
  for (const deed of [...deeds].sort((a, b) => a.at - b.at)) {
    facts.set(deed.item, fold(facts.get(deed.item) ?? NO_FACTS_YET, deed));
  }
  return facts;
}

/** @param reached what was done before; nothing, where all that is known is what was done in items */
export function reckon(counting: Counting, facts: AllFacts, reached: AllReached = new Map()): Ledger {
  const done = new Map<string, Done>();
  for (const id of facts.keys()) putDone(counting, done, id, facts.get(id));
  return reckonFrom(counting, done, facts, reached);
}

/** @param facts of those that the course's rule asks about by themselves, at least */
export function reckonFrom(
  counting: Counting,
  done: Map<string, Done>,
  facts: AllFacts,
  reached: AllReached,
): Ledger {
  const ledger: Ledger = {
    done,
    facts: new Map([...facts].filter(([id]) => counting.asked.has(id))),
    reached: new Map(reached),
    doneIn: counting.sections.map(
      ({ items }) => items.filter((at) => done.has(counting.items[at]?.id ?? '')).length,
    ),
  };
  counting.sections.forEach((section, at) =>
    put(ledger, section.id, sectionNow(counting, ledger, at, reached.get(section.id))),
  );
  const { id } = counting.plan.course;
  put(ledger, id, courseNow(counting, ledger, reached.get(id)));
  return ledger;
}

/** What is done of one item by its facts, or no more; without facts nothing is. */
export function putDone(
  counting: Counting,
  done: Map<string, Done>,
  id: string,
  facts: Facts | undefined,
): void {
  const found = facts === undefined ? null : doneOf(counting, id, facts);
  if (found === null) done.delete(id);
  else done.set(id, found);
}

function doneOf({ ruled }: Counting, id: string, facts: Facts): Done | null {
  const one = ruled.get(id);
  if (one === undefined) return null;
  const done = doneBy(one.rule, facts, one.terms);
  return done.since === Infinity ? null : done;
}

/** What one deed has changed: ids of items, sections and the course whose being done is another. */
export type Changed = readonly string[];

/**
 * Takes into the ledger what has come of one item.
 *
 * @param facts of that item, with the deed
 */
export function step(counting: Counting, ledger: Ledger, item: string, facts: Facts): Changed {
  const was = ledger.done.get(item) ?? null;
  const is = doneOf(counting, item, facts);
  const isAsked = counting.asked.has(item);
  const isSame = was?.since === is?.since && was?.by === is?.by;
  if (isAsked) ledger.facts.set(item, facts);
  if (isSame && !isAsked) return [];
  const changed: string[] = isSame ? [] : [item];
  if (is === null) ledger.done.delete(item);
  else ledger.done.set(item, is);
  const at = counting.indexOf.get(item);
  const section = at === undefined ? undefined : counting.items[at]?.section;
  if (section !== undefined) {
    ledger.doneIn[section] = (ledger.doneIn[section] ?? 0) + (is === null ? 0 : 1) - (was === null ? 0 : 1);
  }
  counting.sections.forEach(({ id, rule }, index) => {
    const before = ledger.reached.get(id);
    const isAbout =
      index === section || rule?.named.includes(item) === true || before?.by.includes(item) === true;
    if (isAbout && put(ledger, id, sectionNow(counting, ledger, index, before))) changed.push(id);
  });
  const { id } = counting.plan.course;
  if (put(ledger, id, courseNow(counting, ledger, ledger.reached.get(id)))) changed.push(id);
  return changed;
}

/** Whether that is another. */
function put({ reached }: Ledger, id: string, now: Reached | null): boolean {
  const before = reached.get(id);
  if (now === null) return reached.delete(id);
  reached.set(id, now);
  return before?.since !== now.since;
}

/** Done by these now, or still by those of before. */
function standing(
  ledger: Ledger,
  by: readonly Member[] | null,
  before: Reached | undefined,
  rulesOf: (keys: readonly string[]) => unknown,
): Reached | null {
  const isStanding =
    before !== undefined &&
    before.by.every((key) => sinceOf(ledger, key) <= before.since) &&
    (before.rules === KEPT || before.rules === signOf(rulesOf(before.by)));
  if (by === null) return isStanding ? before : null;
  const at = latest(by);
  if (isStanding && before.since <= at) return before;
  const keys = by.map(({ key }) => key);
  return { since: at, by: keys, rules: signOf(rulesOf(keys)) };
}

const ALL: Want = { how: 'all' };

function sectionNow(
  counting: Counting,
  ledger: Ledger,
  at: number,
  before: Reached | undefined,
): Reached | null {
  const { rule = null, items = [] } = counting.sections[at] ?? {};
  const rulesOf = (keys: readonly string[]): unknown => [rule, itemRules(counting, keys)];
  return standing(ledger, sectionBy(counting, ledger, at, rule?.want ?? ALL, items), before, rulesOf);
}

function sectionBy(
  counting: Counting,
  ledger: Ledger,
  at: number,
  want: Want,
  items: readonly number[],
): readonly Member[] | null {
  // What has nothing that counts is neither done nor not.
  if (items.length === 0) return null;
  const named = counting.sections[at]?.rule?.named ?? [];
  const isCounted = named.length === 0;
  if (isCounted && want.how !== 'minutes') {
    // Most of the time that is all there is to know.
    if ((ledger.doneIn[at] ?? 0) < countWanted(want, items.length)) return null;
  }
  const ids = isCounted ? items.map((one) => counting.items[one]?.id ?? '') : [...new Set(named)];
  return enough(want, itemMembers(counting, ledger, ids));
}

const itemMembers = (counting: Counting, ledger: Ledger, ids: readonly string[]): readonly Member[] =>
  ids.map((key) => ({
    key,
    since: ledger.done.get(key)?.since ?? Infinity,
    weight: counting.items[counting.indexOf.get(key) ?? -1]?.weight ?? 0,
  }));

function courseNow(counting: Counting, ledger: Ledger, before: Reached | undefined): Reached | null {
  const { rule, items, sections } = counting;
  const isOverSections = rule?.of.some(({ over }) => over === 'sections') === true;
  const rulesOf = (keys: readonly string[]): unknown => [
    rule,
    itemRules(counting, keys),
    isOverSections ? sections.map((one) => one.rule) : [],
  ];
  return standing(ledger, items.length === 0 ? null : courseBy(counting, ledger), before, rulesOf);
}

function courseBy(counting: Counting, ledger: Ledger): readonly Member[] | null {
  const { rule, items } = counting;
  if (rule !== null) {
    return joined(
      rule.match,
      rule.of.map((part) => partBy(counting, ledger, part)),
    );
  }
  const done = ledger.doneIn.reduce((sum, count) => sum + count, 0);
  if (done < items.length) return null;
  return itemMembers(
    counting,
    ledger,
    items.map(({ id }) => id),
  );
}

function partBy(counting: Counting, ledger: Ledger, part: CoursePart): readonly Member[] | null {
  switch (part.over) {
    case 'items':
      return enough(part.want, itemMembers(counting, ledger, itemsAsked(counting, part)));
    case 'sections':
      return enough(
        part.want,
        sectionsAsked(counting, part, ledger.reached).map((id) => ({
          ...{ key: sectionKey(id), weight: 0 },
          since: ledger.reached.get(id)?.since ?? Infinity,
        })),
      );
    case 'scored': {
      const key = scoredKey(part.item, part.least);
      return enough(ALL, [{ key, since: sinceOf(ledger, key), weight: 0 }]);
    }
    case 'attended':
      return enough(
        part.want,
        counting.meetings.map((id) => ({
          ...{ key: attendedKey(id), weight: 0 },
          since: ledger.facts.get(id)?.attended ?? Infinity,
        })),
      );
  }
}

/** The items that a part of the course's rule is about. */
export function itemsAsked(
  { items, ruled }: Counting,
  { kind, named }: Extract<CoursePart, { over: 'items' }>,
): readonly string[] {
  if (named.length > 0) {
    return [...new Set(named)].filter((id) => kind === null || ruled.get(id)?.node.kind === kind);
  }
  return items.filter(({ node }) => kind === null || node.kind === kind).map(({ id }) => id);
}

/** The sections that it is about: those in which something counts, or which were done. */
export function sectionsAsked(
  { sections }: Counting,
  { named }: Extract<CoursePart, { over: 'sections' }>,
  reached: AllReached,
): readonly string[] {
  return sections
    .filter(
      ({ id, items }) => (named.length === 0 || named.includes(id)) && (items.length > 0 || reached.has(id)),
    )
    .map(({ id }) => id);
}

const itemRules = ({ ruled }: Counting, keys: readonly string[]): readonly (DoneRule | null)[] =>
  keys.map((key) => ruled.get(key)?.rule ?? null);

/** All deeds from nothing, in any order. */
export const reckonDeeds = (counting: Counting, deeds: readonly Deed[]): Ledger =>
  reckon(counting, factsOf(deeds));
