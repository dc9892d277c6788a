/** Random sections and items, with whatever stands in them, for the property tests. */
import fc from 'fast-check';
import { ITEM_KINDS, newItem, newSection } from '../../src/index.ts';
import type {
  ConditionGroup,
  DoneRule,
  Item,
  ItemKind,
  OpeningRule,
  PlannedMoment,
  Section,
  SingleCondition,
} from '../../src/index.ts';

export const title = fc
  .string({ unit: 'grapheme', minLength: 1, maxLength: 12 })
  .map((text) => text.trim() || 'x');
export const hash = fc.nat({ max: 9 }).map((digit) => String(digit).repeat(64));
export const maybe = <T>(value: fc.Arbitrary<T>): fc.Arbitrary<T | null> => fc.option(value, { nil: null });

export const day = fc
  .date({ min: new Date('2020-01-01T00:00:00Z'), max: new Date('2035-12-31T00:00:00Z'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10));

/** Clock changes in both hemispheres, at midnight and of half an hour; half-hour offsets; none at all. */
export const zone = fc.constantFrom(
  'Europe/Lisbon',
  'America/Santiago',
  'America/New_York',
  'Australia/Lord_Howe',
  'Australia/Adelaide',
  'America/St_Johns',
  'Asia/Kathmandu',
  'Africa/Casablanca',
  'Pacific/Apia',
  'UTC',
);

export const time = fc.nat({ max: 1439 }).map((minute) => {
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${two(Math.floor(minute / 60))}:${two(minute % 60)}`;
});
export const weekday = fc.integer({ min: 1, max: 7 });

/** Moments of every kind; anchors may name nodes of the courses below, or nothing that exists. */
export const moment: fc.Arbitrary<PlannedMoment> = fc.oneof(
  fc.constant({ kind: 'usual' as const }),
  fc.record({ kind: fc.constant('fixed' as const), day, time: maybe(time) }),
  fc.record({
    kind: fc.constant('relative' as const),
    anchor: fc.oneof(
      fc.record({
        of: fc.constant('course' as const),
        at: fc.constantFrom('start' as const, 'end' as const),
      }),
      fc.record({
        of: fc.constant('section' as const),
        at: fc.constantFrom('start' as const, 'end' as const),
        section: fc.constantFrom(null, null, null, 's0', 's1', 'gone'),
      }),
      fc.constant({ of: 'joining' as const }),
      fc.record({ of: fc.constant('due' as const), item: fc.constantFrom('s0i0', 's0i1', 's1i0', 'gone') }),
    ),
    shift: maybe(
      fc.record({
        by: fc.integer({ min: -40, max: 40 }),
        unit: fc.constantFrom('minutes', 'hours', 'days', 'weeks', 'months', 'years'),
      }),
    ),
    weekday: maybe(weekday),
    time: maybe(time),
  }),
);

/** Items that rules can name: some of the courses below, and one that no course has. */
export const named = fc.constantFrom('s0i0', 's0i1', 's1i0', 's2i1', 'gone');
const single: fc.Arbitrary<SingleCondition> = fc.oneof(
  { weight: 4, arbitrary: fc.record({ kind: fc.constant('from' as const), moment }) },
  { weight: 2, arbitrary: fc.constant({ kind: 'before' as const }) },
  {
    weight: 2,
    arbitrary: fc.record({
      kind: fc.constant('done' as const),
      items: fc.uniqueArray(named, { minLength: 1, maxLength: 2 }),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      kind: fc.constant('scored' as const),
      item: named,
      least: fc.constantFrom(0, 50, 80),
    }),
  },
  {
    weight: 1,
    arbitrary: fc.record({
      kind: fc.constant('course' as const),
      course: fc.constantFrom('tides', 'other'),
      title: fc.constant('Reading the Tides'),
    }),
  },
);

/** Groups of conditions, as deep as they may nest. */
const group = (deep: number): fc.Arbitrary<ConditionGroup> =>
  fc
    .record({
      kind: fc.constantFrom('all' as const, 'any' as const),
      of: fc.array(deep === 1 ? single : fc.oneof({ weight: 3, arbitrary: single }, group(deep - 1)), {
        maxLength: 3,
      }),
    })
    .map(({ kind: joined, of }) => ({ kind: of.length === 0 ? 'all' : joined, of }));

export const rule: fc.Arbitrary<OpeningRule> = fc.record({
  when: group(3),
  until: fc.option(moment, { nil: null, freq: 2 }),
  then: fc.constantFrom('look' as const, 'absent' as const),
});

const audience = fc.oneof(
  { weight: 6, arbitrary: fc.constant([] as string[]) },
  {
    weight: 1,
    arbitrary: fc.uniqueArray(fc.constantFrom('g0', 'g1', 'k0', 'gone'), { minLength: 1, maxLength: 2 }),
  },
);

/** `value` once in so many times, otherwise `usual`. */
export const seldom = <T, U>(value: fc.Arbitrary<T>, usual: U, times: number): fc.Arbitrary<T | U> =>
  fc.oneof<[{ weight: number; arbitrary: fc.Arbitrary<U> }, { weight: number; arbitrary: fc.Arbitrary<T> }]>(
    { weight: times - 1, arbitrary: fc.constant(usual) },
    { weight: 1, arbitrary: value },
  );
export const yes = fc.constant(true);

/** What every node has that decides who gets it. */
const gates = {
  shown: seldom(fc.constant(false), true, 4),
  opens: seldom(moment, null, 2),
  rule: seldom(rule, null, 4),
  closed: seldom(fc.constantFrom('name' as const, 'leave_out' as const), null, 3),
  staffOnly: seldom(yes, false, 12),
  audience,
};

const doneRule: fc.Arbitrary<DoneRule | null> = fc.constantFrom(
  null,
  { by: 'opened' as const },
  { by: 'ticked' as const },
  { by: 'scored' as const, least: 60 },
);

export const outside = fc.constantFrom('closed' as const, 'look' as const, 'open' as const, 'open' as const);
const kind: fc.Arbitrary<ItemKind> = fc.constantFrom(...ITEM_KINDS);

export const item = (id: string, deep = 2): fc.Arbitrary<Item> =>
  kind.chain((of) => {
    const base = { title, ...gates };
    const make = <T extends Partial<Item>>(more: fc.Arbitrary<T>): fc.Arbitrary<Item> =>
      fc
        .tuple(fc.record(base), more)
        .map(([common, own]) => ({ ...newItem(of, { id, ...common, title: common.title }), ...own }) as Item);
    const minutes = maybe(fc.nat({ max: 300 }));
    const counted = { minutes, done: doneRule, listed: fc.boolean(), sample: seldom(yes, false, 4) };
    switch (of) {
      case 'folder':
        return deep === 0
          ? make(fc.constant({}))
          : make(fc.record({ items: fc.tuple(item(`${id}f`, deep - 1)).map((items) => [...items]) }));
      case 'heading':
        return make(fc.constant({}));
      case 'link':
        return make(fc.record({ ...counted, address: maybe(fc.constant('https://tides.example/a')) }));
      case 'assignment':
      case 'quiz':
      case 'discussion':
        return make(fc.record({ ...counted, text: maybe(hash), due: maybe(moment) }));
      case 'meeting':
        return make(fc.record({ ...counted, held: maybe(moment) }));
      default:
        return make(fc.record({ ...counted, text: maybe(hash) }));
    }
  });

export const section = (id: string, itemIds: readonly string[]): fc.Arbitrary<Section> =>
  fc
    .record({
      title: maybe(title),
      ...gates,
      inOrder: seldom(yes, false, 5),
      outside: fc.option(fc.constant(true), { nil: false, freq: 4 }),
      numbered: fc.boolean(),
      span: fc.record({
        count: fc.integer({ min: 1, max: 9 }),
        unit: fc.constantFrom('days' as const, 'weeks' as const),
      }),
      pin: fc.option(day, { nil: null, freq: 6 }),
      items: fc.tuple(...itemIds.map((itemId) => item(itemId))).map((items) => [...items]),
    })
    .map((given) => newSection({ id, ...given }));
