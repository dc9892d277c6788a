/**
 * What is done, from deed to deed, from nothing, and the slow way: the same on random histories of random courses; and
 * what must hold whatever anybody does.
 */
import { describe, expect, test } from '@jest/globals';
import { ANY_LEARNER, newItem, newSection, planFor } from '../../src/index.ts';
import type { Course, Item, Section } from '../../src/index.ts';
import { fold, NO_FACTS_YET } from '../../src/deeds/facts.ts';
import type { Deed, Facts } from '../../src/deeds/facts.ts';
import { countingFor } from '../../src/progress/counting.ts';
import type { Counting } from '../../src/progress/counting.ts';
import { KEPT } from '../../src/progress/ledger.ts';
import type { Ledger } from '../../src/progress/ledger.ts';
import { smallCourse } from '../support/arbitraries.ts';
import { factsOf, reckon, reckonDeeds, step } from '../../src/progress/reckon.ts';
import { naiveDone, naiveSince } from '../support/naive-progress.ts';
import type { NaiveCourse, NaiveTerms } from '../support/naive-progress.ts';
import { below, one, randomCourse, randomDeed } from '../support/random-progress.ts';
import type { Chance, Posted } from '../support/random-progress.ts';
import { randomness } from '../support/randomness.ts';
import { runs } from '../support/runs.ts';

type Page = Extract<Item, { kind: 'page' }>;

const HISTORIES = runs(50_000, 10);
const PER_COURSE = 25;
/** Noon of the second day: by then what has to be done by a moment has to be done. */
const NOON = Date.parse('2027-01-13T12:00:00Z');

const items = (course: Course): readonly Item[] => course.sections.flatMap((section) => section.items);

/** Moments that come again and again, on both sides of the one by which it has to be done. */
function history(chance: Chance, course: Course, many: number): readonly Deed[] {
  const posts = new Map<string, Posted[]>();
  let at = NOON - 3 * 60_000;
  return Array.from({ length: many }, () => {
    if (chance() < 0.6) at += 20_000 * below(chance, 3);
    const item = one(chance, items(course));
    const own = posts.get(item.id) ?? [];
    posts.set(item.id, own);
    return randomDeed(chance, item, at, own);
  });
}

/** The same deeds, where those of one moment come in another order; a post still goes after it came. */
function otherOrder(chance: Chance, deeds: readonly Deed[]): readonly Deed[] {
  return deeds
    .map((deed) => ({ deed, by: chance() }))
    .sort((a, b) => a.deed.at - b.deed.at || a.by - b.by)
    .map(({ deed }) => deed);
}

const counting = (course: Course, groups: readonly string[]): Counting =>
  countingFor(planFor(course, ANY_LEARNER), groups);

function stepped(own: Counting, deeds: readonly Deed[]): Ledger {
  const facts = new Map<string, Facts>();
  const ledger = reckon(own, facts);
  for (const deed of deeds) {
    const now = fold(facts.get(deed.item) ?? NO_FACTS_YET, deed);
    facts.set(deed.item, now);
    step(own, ledger, deed.item, now);
  }
  return ledger;
}

const plainly = ({ done, reached, doneIn }: Ledger): unknown => ({
  done: [...done].sort(([a], [b]) => (a < b ? -1 : 1)),
  reached: [...reached].map(([id, { since }]) => [id, since]).sort(([a = ''], [b = '']) => (a < b ? -1 : 1)),
  doneIn,
});

function naively(course: Course, own: Counting, deeds: readonly Deed[], groups: readonly string[]): unknown {
  const of = (id: string): readonly Deed[] => deeds.filter(({ item }) => item === id);
  const any: NaiveTerms = { pass: null, tooLate: Infinity };
  const found = course.sections.flatMap((section) =>
    section.items.map((item) => {
      const done = 'done' in item ? item.done : null;
      const points = 'total' in item ? item.total : null;
      const pass =
        'passAt' in item && item.passAt !== null && points !== null ? (item.passAt / points) * 100 : null;
      // What has been removed has no moments any more.
      const tooLate = done?.byThen == null || item.removed ? Infinity : NOON + 60_000;
      const isHad = item.shown && !item.removed && !item.staffOnly && section.shown;
      const isFor = item.audience.length === 0 || item.audience.some((id) => groups.includes(id));
      return {
        ...{
          id: item.id,
          item,
          section: section.id,
          isCounted: isHad && isFor && done !== null,
          isHad: isHad && isFor,
        },
        since: done === null ? Infinity : naiveDone(done, of(item.id), { pass, tooLate }),
        minutes: own.items[own.indexOf.get(item.id) ?? -1]?.weight ?? 0,
      };
    }),
  );
  const there = found.filter(({ item, isHad }) => item.kind === 'meeting' && isHad);
  const naive: NaiveCourse = {
    ...{ id: course.id, rule: course.done, sections: course.sections, items: found },
    attended: new Map(there.map(({ id }) => [id, naiveDone({ by: 'attended' }, justThat(of(id)), any)])),
    scored: (id, least) => naiveDone({ by: 'scored', least }, justThat(of(id)), any),
  };
  // Under the moments of the deeds, and those that were kept from before.
  const moments = deeds.map((deed) => (deed.kind === 'kept' ? deed.since : deed.at));
  const since = naiveSince(naive, moments);
  const reached: [string, number][] = [...since.sections];
  if (since.course !== null) reached.push([course.id, since.course]);
  return {
    done: found
      .filter((each) => each.since < Infinity)
      .map((each) => [each.id, each.since])
      .sort(([a = ''], [b = '']) => (a < b ? -1 : 1)),
    reached: reached.sort(([a], [b]) => (a < b ? -1 : 1)),
    doneIn: course.sections.map(
      ({ id }) =>
        found.filter((each) => each.section === id && each.isCounted && each.since < Infinity).length,
    ),
  };
}
/** Being there, or a mark, is a fact: that staff call an item done makes neither. */
const justThat = (deeds: readonly Deed[]): readonly Deed[] =>
  deeds.filter(({ kind }) => !['marked', 'unmarked', 'kept'].includes(kind));

const withoutBy = (plain: unknown): unknown => {
  const { done, ...rest } = plain as { done: [string, { since: number }][] };
  return { done: done.map(([id, { since }]) => [id, since]), ...rest };
};

/** Told with all that there is to know, once they are not. */
function isSame(says: object, is: unknown, wanted: unknown): void {
  if (JSON.stringify(is) !== JSON.stringify(wanted)) expect({ says, is }).toEqual({ says, is: wanted });
}

test(`deed by deed, from nothing, in another order and the slow way come to the same: ${HISTORIES} histories`, () => {
  const chance = randomness(20_270_116);
  let course = randomCourse(chance);
  const met = { course: 0, sections: 0, undone: 0 };
  for (let run = 0; run < HISTORIES; run += 1) {
    if (run % PER_COURSE === 0) course = randomCourse(chance);
    const groups = chance() < 0.5 ? ['k'] : [];
    const own = counting(course, groups);
    const deeds = history(chance, course, 5 + below(chance, 20));
    const byStep = stepped(own, deeds);
    const whole = reckonDeeds(own, deeds);
    const is = plainly(whole);
    const slowly = naively(course, own, deeds, groups);
    isSame({ run, course, deeds }, plainly(byStep), is);
    isSame({ run, course, deeds }, plainly(reckonDeeds(own, otherOrder(chance, deeds))), is);
    isSame({ run, course, deeds }, withoutBy(is), slowly);
    if (whole.reached.has(course.id)) met.course += 1;
    met.sections += whole.reached.size;
    if (deeds.some(({ kind }) => kind === 'unticked')) met.undone += 1;
  }
  // A comparison in which nothing is ever done says nothing.
  expect(met.course).toBeGreaterThan(HISTORIES / 40);
  expect(met.sections).toBeGreaterThan(HISTORIES / 4);
  expect(met.undone).toBeGreaterThan(HISTORIES / 10);
});

const UNDOING = ['unticked', 'absent', 'unposted', 'unmarked', 'taken_back'];
const takesAway = (deed: Deed): boolean =>
  UNDOING.includes(deed.kind) || (deed.kind === 'scored' && deed.by === 'staff');

describe('whatever anybody does', () => {
  test('more deeds never make it less: what is done stays done, since when it was', () => {
    const chance = randomness(7);
    for (let run = 0; run < runs(4000); run += 1) {
      const course = randomCourse(chance);
      const own = counting(course, []);
      const deeds = history(chance, course, 15).filter((deed) => !takesAway(deed) && deed.kind !== 'kept');
      const ledger = reckon(own, new Map());
      const facts = new Map<string, Facts>();
      let before = new Map<string, number>();
      for (const deed of deeds) {
        const now = fold(facts.get(deed.item) ?? NO_FACTS_YET, deed);
        facts.set(deed.item, now);
        step(own, ledger, deed.item, now);
        const is = new Map([...ledger.done, ...ledger.reached].map(([id, { since }]) => [id, since]));
        for (const [id, since] of before) expect({ id, since: is.get(id) }).toEqual({ id, since });
        before = is;
      }
    }
  });

  test('undoing a tick undoes that alone', () => {
    const chance = randomness(8);
    let undone = 0;
    for (let run = 0; run < runs(4000); run += 1) {
      const course = randomCourse(chance);
      const own = counting(course, []);
      const deeds = history(chance, course, 15);
      const at = NOON + 3_600_000;
      const id = one(chance, items(course)).id;
      const before = reckonDeeds(own, deeds);
      const after = reckonDeeds(own, [...deeds, { kind: 'unticked', item: id, at }]);
      const others = (ledger: Ledger): unknown => [...ledger.done].filter(([item]) => item !== id).sort();
      expect(others(after)).toEqual(others(before));
      const again = reckonDeeds(
        own,
        deeds.filter((deed) => deed.item !== id || deed.kind !== 'ticked'),
      );
      expect(after.done.get(id)).toEqual(again.done.get(id));
      if (before.done.has(id) && !after.done.has(id)) undone += 1;
    }
    expect(undone).toBeGreaterThan(0);
  });

  test('what one deed changes is named, and nothing else', () => {
    const chance = randomness(9);
    for (let run = 0; run < runs(2000); run += 1) {
      const course = randomCourse(chance);
      const own = counting(course, []);
      const facts = new Map<string, Facts>();
      const ledger = reckon(own, facts);
      for (const deed of history(chance, course, 12)) {
        const was = new Map([...ledger.done, ...ledger.reached].map(([id, { since }]) => [id, since]));
        const now = fold(facts.get(deed.item) ?? NO_FACTS_YET, deed);
        facts.set(deed.item, now);
        const changed = step(own, ledger, deed.item, now);
        const is = new Map([...ledger.done, ...ledger.reached].map(([id, { since }]) => [id, since]));
        const differ = [...new Set([...was.keys(), ...is.keys()])].filter((id) => was.get(id) !== is.get(id));
        expect(new Set(changed)).toEqual(new Set([...differ, ...changed.filter((id) => id === deed.item)]));
      }
    }
  });
});

describe('the course changes, and what was done stays done', () => {
  const ticked = { by: 'ticked' as const };
  const page = (id: string, more: Partial<Page> = {}): Item =>
    newItem('page', { id, title: id, done: ticked, ...more });
  const withItems = (of: readonly Item[], more: Partial<Section> = {}): Course => ({
    ...smallCourse(),
    state: 'live',
    sections: [newSection({ id: 'S', title: 'S', items: [...of], ...more })],
  });
  const before = withItems([page('a'), page('b')]);
  const deeds: Deed[] = [
    { kind: 'ticked', item: 'a', at: 1000 },
    { kind: 'ticked', item: 'b', at: 2000 },
  ];
  const was = reckonDeeds(counting(before, []), deeds);
  const after = (course: Course, more: readonly Deed[] = [], reached = was.reached): unknown => {
    const ledger = reckon(counting(course, []), factsOf([...deeds, ...more]), reached);
    return [ledger.reached.get('S')?.since ?? null, ledger.reached.get('course')?.since ?? null];
  };

  test.each<[string, Course, readonly Deed[], unknown]>([
    ['nothing has changed', before, [], [2000, 2000]],
    ['an item comes', withItems([page('a'), page('b'), page('c')]), [], [2000, 2000]],
    [
      'an item is removed: what is left was done before',
      withItems([page('a'), page('b', { removed: true })]),
      [],
      [1000, 1000],
    ],
    [
      'what is left was never done',
      withItems([page('c'), page('b', { removed: true }), page('a', { removed: true })]),
      [],
      [2000, 2000],
    ],
    [
      'nothing counts any more',
      withItems([page('a', { shown: false }), page('b', { shown: false })]),
      [],
      [2000, 2000],
    ],
    [
      'an item comes, and one of those by which it was done is undone',
      withItems([page('a'), page('b'), page('c')]),
      [{ kind: 'unticked', item: 'a', at: 3000 }],
      [null, null],
    ],
    [
      'an item’s rule is another, and it is not kept',
      withItems([page('a', { done: { by: 'opened' } }), page('b')]),
      [],
      [null, null],
    ],
    [
      'an item’s rule is another, and what was earned in it is kept',
      withItems([page('a', { done: { by: 'opened' } }), page('b')]),
      [{ kind: 'kept', item: 'a', since: 1000, at: 3000 }],
      [2000, 2000],
    ],
    ['an item is not counted any more', withItems([page('a', { done: null }), page('b')]), [], [2000, 2000]],
    [
      'the section wants what there is not',
      withItems([page('a'), page('b')], { done: { want: { how: 'least', count: 3 }, named: [] } }),
      [],
      [null, 2000],
    ],
  ])('%s', (_name, course, more, expected) => {
    expect(after(course, more)).toEqual(expected);
  });

  test('kept, it stands whatever the rules are, until what it was done by is undone', () => {
    const kept = new Map([...was.reached].map(([id, one]) => [id, { ...one, rules: KEPT }]));
    const stricter = withItems([page('a'), page('b'), page('c')], {
      done: { want: { how: 'least', count: 3 }, named: [] },
    });
    expect(after(stricter, [], kept)).toEqual([2000, 2000]);
    expect(after(stricter, [{ kind: 'unticked', item: 'b', at: 9000 }], kept)).toEqual([null, null]);
  });

  test('a course over sections stays done by the sections by which it was', () => {
    const over: Course['done'] = {
      match: 'all',
      of: [{ over: 'sections', want: { how: 'all' }, named: [] }],
    };
    const own = reckonDeeds(counting({ ...before, done: over }, []), deeds);
    expect(own.reached.get('course')?.since).toBe(2000);
    const more = { ...withItems([page('a'), page('b'), page('c')]), done: over };
    expect(after(more, [], own.reached)).toEqual([2000, 2000]);
    expect(after(more, [{ kind: 'unticked', item: 'a', at: 5000 }], own.reached)).toEqual([null, null]);
  });
});
