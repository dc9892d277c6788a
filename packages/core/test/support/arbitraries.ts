/** Random courses, and who looks at them, for the property tests. */
import fc from 'fast-check';
import { newCourse, newDates, newItem, newSection } from '../../src/index.ts';
import type {
  Course,
  Dates,
  Exception,
  Item,
  MeetingChange,
  Pattern,
  Pause,
  PersonException,
  Section,
  Viewer,
} from '../../src/index.ts';
import {
  title,
  hash,
  maybe,
  day,
  zone,
  time,
  weekday,
  moment,
  named,
  seldom,
  yes,
  outside,
  item,
  section,
} from './arbitrary-nodes.ts';

export { title, day, zone, time, weekday, moment, rule, item, section } from './arbitrary-nodes.ts';

const addDays = (iso: string, days: number): string =>
  new Date(Date.parse(iso) + days * 86_400_000).toISOString().slice(0, 10);

const pattern: fc.Arbitrary<Pattern> = fc.record({
  weekdays: fc.uniqueArray(weekday, { minLength: 1, maxLength: 4 }).map((days) => days.sort((a, b) => a - b)),
  time,
  minutes: fc.integer({ min: 1, max: 240 }),
  place: fc.constant(null),
});

/** Dates in every format and pace, with pauses and changed meetings near their first day. */
export const dates: fc.Arbitrary<Dates> = day.chain((start) => {
  const near = (from: number, to: number): fc.Arbitrary<string> =>
    fc.integer({ min: from, max: to }).map((days) => addDays(start, days));
  const pause: fc.Arbitrary<Pause> = fc
    .record({
      first: near(-10, 130),
      days: fc.oneof(fc.nat({ max: 2 }), fc.integer({ min: 4, max: 22 })),
      policy: fc.constantFrom('between' as const, 'silent' as const, 'counted' as const),
    })
    .map(({ first, days, policy }) => ({
      name: `Pause ${first}`,
      first,
      last: addDays(first, days),
      policy,
    }));
  const change: fc.Arbitrary<readonly [string, MeetingChange]> = fc.oneof(
    fc.tuple(
      fc.tuple(fc.constantFrom('pa', 'pb'), near(0, 70)).map(([id, on]) => `${id}_${on}`),
      fc.oneof(
        fc.record({
          kind: fc.constant('cancelled' as const),
          sections: fc.constantFrom('keep' as const, 'slide' as const),
        }),
        fc.record({
          kind: fc.constant('moved' as const),
          day: near(-5, 80),
          time,
          minutes: fc.constant(50),
          place: fc.constant(null),
        }),
      ),
    ),
    fc.tuple(
      fc.nat({ max: 3 }).map((at) => `added${at}`),
      fc.record({
        kind: fc.constant('added' as const),
        day: near(-5, 80),
        time,
        minutes: fc.constant(50),
        place: fc.constant(null),
      }),
    ),
  );
  return fc
    .record({
      format: fc.constantFrom('weeks' as const, 'units' as const, 'meetings' as const, 'item' as const),
      pace: fc.constantFrom('together' as const, 'together' as const, 'joining' as const, 'none' as const),
      firstDay: fc.option(fc.constant(start), { nil: null, freq: 9 }),
      offWeek: fc.constantFrom('falls' as const, 'short' as const, 'move' as const),
      ends: fc.constantFrom('weeks' as const, 'weeks' as const, 'day' as const, 'term' as const),
      weeks: fc.integer({ min: 1, max: 20 }),
      lastDay: maybe(near(-3, 150)),
      zone,
      weekStart: weekday,
      teachingDays: fc
        .uniqueArray(weekday, { minLength: 1, maxLength: 6 })
        .map((days) => days.sort((a, b) => a - b)),
      pauses: fc
        .array(pause, { maxLength: 3 })
        .map((all) => Object.fromEntries(all.map((one, at) => [`p${at}`, one]))),
      pausesForJoiners: fc.boolean(),
      handIn: fc.record({ time, weekday: maybe(weekday) }),
      meetings: fc.integer({ min: 1, max: 25 }),
      patterns: fc
        .tuple(maybe(pattern), maybe(pattern))
        .map(([a, b]) => ({ ...(a === null ? {} : { pa: a }), ...(b === null ? {} : { pb: b }) })),
      changes: fc.array(change, { maxLength: 4 }).map((all) => Object.fromEntries(all)),
      around: fc.constantFrom(null, 's0i0', 'gone'),
    })
    .map((given) => newDates(given));
});

const GROUPS: Course['groups'] = {
  g0: { name: 'Morning boat', kind: 'group', at: 0 },
  g1: { name: 'Evening boat', kind: 'group', at: 1 },
  k0: { name: 'Class A', kind: 'class', at: 2 },
};

const exceptionMoments = {
  node: fc.constantFrom('s0', 's0i0', 's0i1', 's1', 's1i0', 'gone'),
  opens: maybe(moment),
  due: maybe(moment),
  until: maybe(moment),
  at: fc.nat({ max: 9 }),
};
const exception: fc.Arbitrary<Exception> = fc.record({
  for: fc.constantFrom('g0', 'g1', 'k0', 'gone'),
  ...exceptionMoments,
});
export const personException: fc.Arbitrary<PersonException> = fc.record(exceptionMoments);

/** A section or an item as it may once have stood, or as nothing. */
const heldBack: fc.Arbitrary<Course['heldBack']> = fc
  .tuple(
    fc.oneof<[fc.Arbitrary<Section>, fc.Arbitrary<Item>]>(section('s0', ['s0i0', 's0i1']), item('s1i0', 1)),
    seldom(fc.record({ day, time }), null, 2),
    seldom(yes, false, 6),
  )
  .map(([node, release, isNew]) => ({ [node.id]: { node: isNew ? null : node, release } }));

/** Somebody, anybody: members and others, with what they have done and have of their own. */
export const viewer: fc.Arbitrary<Viewer> = fc.record({
  role: fc.constantFrom(
    'learner' as const,
    'learner' as const,
    'learner' as const,
    'instructor' as const,
    'assistant' as const,
    'visitor' as const,
    null,
    null,
  ),
  institutionStaff: seldom(yes, false, 12),
  joinedAt: maybe(day.map((on) => `${on}T10:00:00Z`)),
  groups: fc.subarray(['g0', 'g1', 'k0']),
  here: fc.boolean(),
  passphrase: fc.boolean(),
  exceptions: seldom(fc.array(personException, { minLength: 1, maxLength: 2 }), [], 4),
  deeds: fc
    .tuple(
      fc.subarray(['s0i0', 's0i1', 's1i0', 's1i1', 's2i0', 's2i1']),
      fc.dictionary(named, fc.integer({ min: 0, max: 100 }), { maxKeys: 2 }),
      fc.subarray(['tides']),
    )
    .map(([done, scores, courses]) => ({
      done: new Set(done),
      scores: new Map(Object.entries(scores)),
      courses: new Set(courses),
    })),
});

/** Courses of up to six sections with up to four items each; ids s0…, s0i0…, and s0i0f in a folder. */
export const course: fc.Arbitrary<Course> = fc.array(fc.nat({ max: 4 }), { maxLength: 6 }).chain((sizes) =>
  fc
    .record({
      title,
      code: fc.constantFrom('EFM-210', 'A', 'b.2'),
      purpose: fc.constantFrom('learners' as const, 'practice' as const, 'circle' as const),
      state: fc.constantFrom('draft' as const, 'live' as const, 'archived' as const),
      department: fc.option(fc.constant('ECO'), { nil: null }),
      description: fc.option(hash, { nil: null }),
      tags: fc.array(fc.constantFrom('a', 'b', 'c'), { maxLength: 3 }),
      dates,
      numbering: fc.record({
        style: fc.constantFrom('none' as const, 'sections' as const, 'items' as const, 'items' as const),
        from: fc.constantFrom(0 as const, 1 as const),
        restart: fc.boolean(),
      }),
      closed: fc.constantFrom('name' as const, 'leave_out' as const),
      window: fc.record({ before: outside, after: outside }),
      inOrder: seldom(yes, false, 8),
      goesLive: seldom(fc.record({ day, time }), null, 4),
      find: fc.constantFrom('members' as const, 'here' as const, 'anyone' as const),
      visitors: fc.constantFrom('off' as const, 'passphrase' as const, 'anyone' as const),
      groups: fc.constant(GROUPS),
      exceptions: fc
        .array(exception, { maxLength: 3 })
        .map((all) => Object.fromEntries(all.map((one, at) => [`x${at}`, one]))),
      heldBack: seldom(heldBack, {}, 4),
      hoursAWeek: maybe(fc.integer({ min: 1, max: 9 })),
      statedHours: maybe(fc.integer({ min: 1, max: 60 })),
      sections: fc
        .tuple(
          ...sizes.map((size, at) =>
            section(
              `s${at}`,
              Array.from({ length: size }, (_, index) => `s${at}i${index}`),
            ),
          ),
        )
        .map((sections) => [...sections]),
    })
    .map((given) => ({ ...smallCourse(), ...given })),
);

/** A small course by hand: two sections, with items a1, a2, a3 and b1. */
export function smallCourse(): Course {
  const page = (id: string): Item => newItem('page', { id, title: id, minutes: 10 });
  const part = (id: string, items: Item[]): Section => newSection({ id, title: id, items });
  const head = {
    id: 'course',
    title: 'Estuary Field Methods',
    code: 'EFM-210',
    purpose: 'learners' as const,
  };
  const dates = { firstDay: '2027-01-11', weeks: 2, zone: 'Europe/Lisbon' };
  return {
    ...newCourse({ ...head, ...dates, department: null, term: null, sectionIds: [] }),
    sections: [part('A', [page('a1'), page('a2'), page('a3')]), part('B', [page('b1')])],
  };
}
