/** Courses with rules of every kind, and what somebody does in them, by chance. */
import { conditionsOf, newItem, newSection, traitsOf } from '../../src/index.ts';
import type {
  Course,
  CoursePart,
  DoneCondition,
  DoneRule,
  Item,
  OpeningRule,
  PlannedMoment,
  Section,
  SingleCondition,
  Want,
} from '../../src/index.ts';
import type { Deed, DeedKind } from '../../src/deeds/facts.ts';
import { smallCourse } from './arbitraries.ts';

export type Chance = () => number;
export const below = (chance: Chance, most: number): number => Math.floor(chance() * most);
export const one = <T>(chance: Chance, of: readonly T[]): T => of[below(chance, of.length)] as T;
const some = <T>(chance: Chance, of: readonly T[], share: number): T[] => of.filter(() => chance() < share);

const COUNTED = ['page', 'video', 'assignment', 'quiz', 'discussion', 'meeting', 'survey'] as const;

function condition(chance: Chance, kind: (typeof COUNTED)[number]): DoneCondition {
  const by = one(chance, traitsOf({ kind }).doneBy);
  if (by === 'scored') return { by, least: one(chance, [0, 40, 60, 60.5, 100]) };
  if (by === 'watched') return { by, least: one(chance, [1, 50, 90, 100]) };
  if (by === 'posted' || by === 'replied') return { by, least: 1 + below(chance, 3) };
  return { by };
}

export function randomRule(chance: Chance, kind: (typeof COUNTED)[number]): DoneRule {
  const byThen = chance() < 0.1 ? ({ kind: 'fixed', day: '2027-01-13', time: '12:00' } as const) : null;
  if (chance() < 0.6) return { ...condition(chance, kind), byThen };
  const of = Array.from({ length: 1 + below(chance, 3) }, () => condition(chance, kind));
  return { by: chance() < 0.5 ? 'all' : 'any', of, byThen };
}

const many = (chance: Chance, most: number): Exclude<Want, { how: 'minutes' }> =>
  one<Exclude<Want, { how: 'minutes' }>>(chance, [
    { how: 'all' },
    { how: 'any' },
    { how: 'least', count: 1 + below(chance, most + 1) },
    { how: 'share', percent: one(chance, [1, 33.3, 50, 66.7, 100]) },
  ]);
const want = (chance: Chance, most: number): Want =>
  chance() < 0.2 ? { how: 'minutes', minutes: 1 + below(chance, 60) } : many(chance, most);

export function randomItem(chance: Chance, id: string): Item {
  const kind = one(chance, COUNTED);
  const done = chance() < 0.8 ? randomRule(chance, kind) : null;
  const given = {
    ...{ id, title: id, done, shown: chance() > 0.1, removed: chance() < 0.05, staffOnly: chance() < 0.05 },
    ...{ audience: chance() < 0.15 ? ['k'] : [], minutes: one(chance, [null, 0, 5, 10, 30]) },
  };
  const points = { total: one(chance, [null, 10, 50]), passAt: one(chance, [null, 5]) };
  if (kind === 'assignment' || kind === 'quiz') return newItem(kind, { ...given, ...points } as never);
  return newItem(kind, given as never);
}

function part(chance: Chance, items: readonly string[], sections: readonly string[]): CoursePart {
  switch (below(chance, 5)) {
    case 0:
      return { over: 'sections', want: many(chance, 3), named: some(chance, sections, 0.2) };
    case 1:
      return { over: 'scored', item: one(chance, items), least: one(chance, [0, 50, 90]) };
    case 2:
      return { over: 'attended', want: many(chance, 2) };
    default: {
      const kind = chance() < 0.4 ? one(chance, COUNTED) : null;
      return {
        over: 'items',
        want: want(chance, 4),
        kind,
        named: chance() < 0.3 ? some(chance, items, 0.3) : [],
      };
    }
  }
}

export function randomCourse(chance: Chance): Course {
  let made = 0;
  const sections: Section[] = Array.from({ length: 1 + below(chance, 4) }, (_one, at) =>
    newSection({
      id: `s${at}`,
      title: `s${at}`,
      items: Array.from({ length: below(chance, 6) }, () => randomItem(chance, `i${(made += 1)}`)),
      shown: chance() > 0.05,
    }),
  );
  if (made === 0) sections[0]?.items.push(randomItem(chance, `i${(made += 1)}`));
  const ids = sections.flatMap(({ items }) => items.map(({ id }) => id));
  const ruled = sections.map((section) =>
    chance() < 0.5
      ? section
      : {
          ...section,
          done: {
            want: want(chance, section.items.length),
            named: chance() < 0.4 ? some(chance, ids, 0.3) : [],
          },
        },
  );
  const of = Array.from({ length: 1 + below(chance, 3) }, () =>
    part(
      chance,
      ids,
      sections.map(({ id }) => id),
    ),
  );
  return {
    ...smallCourse(),
    state: 'live',
    sections: ruled,
    done: chance() < 0.4 ? null : { match: chance() < 0.5 ? 'all' : 'any', of },
    groups: { k: { name: 'Class', kind: 'class', at: 0 } },
  };
}

export interface Posted {
  readonly at: number;
  readonly reply: boolean;
}

/** Something that can happen in an item: what its rule asks about, most of the time. */
export function randomDeed(chance: Chance, item: Item, at: number, posts: Posted[]): Deed {
  const asked = 'done' in item ? conditionsOf(item.done).map(({ by }) => by) : [];
  const by = chance() < 0.75 && asked.length > 0 ? one(chance, asked) : null;
  return { ...kindFor(chance, by, at, posts), item: item.id, at } as Deed;
}

function kindFor(chance: Chance, by: DoneCondition['by'] | null, at: number, posts: Posted[]): DeedKind {
  if (chance() < 0.05) return one<DeedKind>(chance, [{ kind: 'marked' }, { kind: 'unmarked' }]);
  if (chance() < 0.03)
    return one<DeedKind>(chance, [{ kind: 'taken_back' }, { kind: 'kept', since: at - 5 }]);
  switch (by) {
    case 'opened':
    case 'handed_in':
      return { kind: by };
    case 'ticked':
      return { kind: chance() < 0.6 ? 'ticked' : 'unticked' };
    case 'attended':
      return { kind: chance() < 0.6 ? 'attended' : 'absent' };
    case 'watched':
      return { kind: 'watched', percent: one(chance, [1, 30, 50, 90, 100]) };
    case 'scored':
    case 'passed':
      return {
        kind: 'scored',
        percent: chance() < 0.1 ? null : one(chance, [0, 30, 50, 60, 60.5, 80, 100]),
        by: chance() < 0.5 ? 'learner' : 'staff',
      };
    case 'posted':
    case 'replied': {
      // What is taken away was posted before, or at the same moment.
      if (posts.length > 0 && chance() < 0.3) {
        const [post = { at, reply: true }] = posts.splice(below(chance, posts.length), 1);
        return { kind: 'unposted', reply: post.reply, posted: post.at };
      }
      const reply = chance() < 0.6;
      posts.push({ at, reply });
      return { kind: reply ? 'replied' : 'posted' };
    }
    case null:
      return one<DeedKind>(chance, [{ kind: 'opened' }, { kind: 'ticked' }, { kind: 'handed_in' }]);
  }
}

const moment = (chance: Chance): PlannedMoment => ({
  kind: 'fixed',
  day: `2027-01-${String(9 + below(chance, 18)).padStart(2, '0')}`,
  time: one(chance, [null, '09:00', '18:00']),
});
const mayBe = <T>(chance: Chance, share: number, make: () => T): T | null =>
  chance() < share ? make() : null;

function opening(chance: Chance, ids: readonly string[]): OpeningRule {
  const single = (): SingleCondition => {
    const item = one(chance, ids);
    return one<() => SingleCondition>(chance, [
      () => ({ kind: 'done', items: [item], days: below(chance, 4) }),
      () => ({ kind: 'done', items: [item] }),
      () => ({ kind: 'from', moment: moment(chance) }),
      () => ({ kind: 'before' }),
      () => ({ kind: 'scored', item, least: one(chance, [0, 50, 100]) }),
    ])();
  };
  const of = Array.from({ length: 1 + below(chance, 2) }, single);
  return {
    when: { kind: chance() < 0.7 ? 'all' : 'any', of },
    until: mayBe(chance, 0.15, () => moment(chance)),
    then: chance() < 0.5 ? 'look' : 'absent',
  };
}

/** One in which things open, wait for one another, are due, held and over; most of them can be finished. */
export function gatedCourse(chance: Chance): Course {
  const plain = randomCourse(chance);
  const ids = plain.sections.flatMap(({ items }) => items.map(({ id }) => id));
  const gated = <Node extends Item | Section>(node: Node): Node => ({
    ...node,
    opens: mayBe(chance, 0.2, () => moment(chance)),
    rule: mayBe(chance, 0.25, () => opening(chance, ids)),
  });
  const items = (of: readonly Item[]): Item[] =>
    of.map((item): Item => {
      const own = gated(item);
      const due = mayBe(chance, 0.3, () => moment(chance));
      if (own.kind === 'meeting') {
        const attendance = chance() < 0.9 ? 'list' : 'none';
        return { ...own, attendance, held: mayBe(chance, 0.8, () => moment(chance)) };
      }
      if (own.kind === 'video') return chance() < 0.8 ? { ...own, file: FILM, seconds: 60 } : own;
      if (own.kind === 'discussion') return { ...own, due, shut: chance() < 0.1 };
      if (own.kind !== 'assignment' && own.kind !== 'quiz') return own;
      const taken = { due, grace: one(chance, [0, 30]), lateUntil: mayBe(chance, 0.2, () => moment(chance)) };
      if (own.kind === 'quiz') return { ...own, ...taken, questions: chance() < 0.8 ? { q: QUESTION } : {} };
      return {
        ...own,
        ...taken,
        takes: chance() < 0.9 ? own.takes : { ...own.takes, text: false, files: 0 },
      };
    });
  const isClosing = chance() < 0.4;
  return {
    ...plain,
    inOrder: chance() < 0.1,
    window: { before: chance() < 0.3 ? 'closed' : 'open', after: isClosing ? 'look' : 'open' },
    dates: { ...plain.dates, ends: isClosing ? 'day' : 'weeks', lastDay: isClosing ? '2027-01-24' : null },
    sections: plain.sections.map((section) => ({
      ...gated(section),
      inOrder: chance() < 0.15,
      items: items(section.items),
    })),
  };
}

const FILM = { hash: 'a'.repeat(64), name: 'film.webm', size: 1, type: 'video/webm', alt: null } as never;
const QUESTION = {
  ...{ at: 1, kind: 'single', text: 'Which?', right: 'a', why: '', points: 1, required: false, pool: null },
  choices: [{ id: 'a', text: 'A', why: '', picture: null }],
} as never;
