import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import {
  addDays,
  clockChanges,
  dayOf,
  daysBetween,
  momentIn,
  nearestWeekday,
  newDates,
  newSection,
  planCourse,
  planSections,
  slotCount,
  startOfDay,
  weekdayOf,
  weekdayOnOrAfter,
} from '../../src/index.ts';
import type { Course, Dates, Section } from '../../src/index.ts';
import { course, day, smallCourse, zone } from '../support/arbitraries.ts';

/** A course of so many empty sections, with dates of its own. */
function courseOf(count: number, dates: Partial<Dates>, change: Partial<Section> = {}): Course {
  const sections = Array.from({ length: count }, (_, at) => newSection({ id: `s${at + 1}`, ...change }));
  const given = { firstDay: '2027-01-11', weeks: 15, zone: 'Europe/Lisbon', ...dates };
  return { ...smallCourse(), dates: newDates(given), sections };
}

const daysOf = (of: Course, joined: string | null = null): (string | null)[] =>
  planSections(of, { joined }).sections.map(({ span }) =>
    span.kind === 'slot' ? `${span.slot.first.slice(5)} ${span.slot.last.slice(5)}` : span.kind,
  );

const SPRING = { name: 'Spring break', first: '2027-03-08', last: '2027-03-14', policy: 'between' as const };

describe('week by week', () => {
  test('fifteen weeks from Mon 11 Jan 2027 with a spring break end on Sun 2 May', () => {
    const plan = planSections(courseOf(15, { pauses: { p: SPRING } }));
    expect(plan.slots[7]).toMatchObject({ number: 8, first: '2027-03-01', last: '2027-03-07' });
    expect(plan.rows[8]).toMatchObject({ kind: 'pause', pause: { name: 'Spring break', number: null } });
    expect(plan.slots[8]).toMatchObject({ number: 9, first: '2027-03-15' });
    expect(plan.lastDay).toBe('2027-05-02');
    expect(plan.spare).toEqual([]);
  });

  test('a Monday-to-Friday break is a whole week; one of four days only marks it', () => {
    const friday = { ...SPRING, last: '2027-03-12' };
    expect(planSections(courseOf(15, { pauses: { p: friday } })).lastDay).toBe('2027-05-02');
    const thursday = { ...SPRING, last: '2027-03-11' };
    const marked = planSections(courseOf(15, { pauses: { p: thursday } }));
    expect(marked.lastDay).toBe('2027-04-25');
    expect(marked.slots[8]).toMatchObject({ first: '2027-03-08', pauses: ['p'] });
    expect(planSections(courseOf(15, { pauses: { p: thursday }, teachingDays: [1, 2, 3] })).lastDay).toBe(
      '2027-05-02',
    );
  });

  test('left out, a pause leaves no row; counted, it takes a number and no section', () => {
    const silent = planSections(courseOf(15, { pauses: { p: { ...SPRING, policy: 'silent' } } }));
    expect(silent.rows.every(({ kind }) => kind === 'slot')).toBe(true);
    expect(silent.lastDay).toBe('2027-05-02');
    const counted = planCourse(courseOf(14, { pauses: { p: { ...SPRING, policy: 'counted' } } }));
    expect(counted.rows[8]).toMatchObject({ kind: 'pause', pause: { number: 9 } });
    expect([counted.lastDay, counted.spare, counted.unplaced]).toEqual(['2027-04-25', [], []]);
    expect(counted.sections.map(({ number }) => number).slice(7, 9)).toEqual(['8', '10']);
    expect(counted.pauseNumbers).toEqual(['9']);
  });

  test('two pauses in one week give it to the one that covers more of it, the earlier on a tie', () => {
    const row = (first: string, second: string): unknown =>
      planSections(
        courseOf(15, {
          pauses: {
            a: { ...SPRING, name: 'A', last: first },
            b: { ...SPRING, name: 'B', first: second, last: '2027-03-12', policy: 'counted' },
          },
        }),
      ).rows.find(({ kind }) => kind === 'pause');
    expect(row('2027-03-09', '2027-03-10')).toMatchObject({ pause: { name: 'B', number: 9 } });
    expect(row('2027-03-10', '2027-03-11')).toMatchObject({ pause: { name: 'A', number: null } });
    expect(row('2027-03-10', '2027-03-10')).toMatchObject({ pause: { name: 'A' } });
  });

  test('a first day in mid-week: as it falls, a short first week, or moved', () => {
    const from = (offWeek: Dates['offWeek'], firstDay = '2027-01-13'): (string | null)[] =>
      daysOf(courseOf(2, { weeks: 2, firstDay, offWeek }));
    expect(from('falls')).toEqual(['01-13 01-19', '01-20 01-26']);
    expect(from('short')).toEqual(['01-13 01-17', '01-18 01-24']);
    expect(from('move')).toEqual(['01-11 01-17', '01-18 01-24']);
    // No teaching day is left on a Saturday, so week 1 goes on to the end of the next.
    expect(from('short', '2027-01-16')).toEqual(['01-16 01-24', '01-25 01-31']);
  });

  test('until a last day: weeks with a teaching day on or before it, the last one cut', () => {
    const plan = planSections(courseOf(5, { ends: 'day', lastDay: '2027-02-03' }));
    expect(plan.slots.at(-1)).toMatchObject({ number: 4, first: '2027-02-01', last: '2027-02-03' });
    expect([plan.lastDay, plan.unplaced]).toEqual(['2027-02-03', ['s5']]);
    const sunday = planSections(courseOf(3, { ends: 'day', lastDay: '2027-01-31' }));
    expect(sunday.slots).toHaveLength(3);
  });

  test('has no weeks without a first day', () => {
    const plan = planSections(courseOf(2, { firstDay: null }));
    expect(plan).toMatchObject({ slots: [], lastDay: null, unplaced: ['s1', 's2'] });
  });

  test('a pause that covers the course leaves the weeks after it, and a last day within it none', () => {
    const year = { ...SPRING, first: '2027-01-01', last: '2027-12-31' };
    expect(planSections(courseOf(1, { weeks: 1, pauses: { p: year } })).slots[0]?.first).toBe('2028-01-03');
    const until = { weeks: 1, ends: 'day' as const, lastDay: '2027-05-02', pauses: { p: year } };
    expect(planSections(courseOf(1, until)).slots).toEqual([]);
  });
});

describe('unit by unit', () => {
  const units = (
    spans: readonly (Partial<Section> & { span: Section['span'] })[],
    dates: Partial<Dates> = {},
  ): Course => ({
    ...courseOf(0, { format: 'units', ...dates }),
    sections: spans.map((change, at) => newSection({ id: `u${at + 1}`, ...change })),
  });
  const weeks = (count: number): { span: Section['span'] } => ({ span: { count, unit: 'weeks' } });
  const days = (count: number): { span: Section['span'] } => ({ span: { count, unit: 'days' } });

  test('take their spans one after the other; whole weeks wait for the next teaching week', () => {
    expect(daysOf(units([weeks(2), days(10), weeks(1)]))).toEqual([
      '01-11 01-24',
      '01-25 02-03',
      '02-08 02-14',
    ]);
  });

  test('the first one starts on the first day, and its part week counts', () => {
    expect(daysOf(units([weeks(1), weeks(1)], { firstDay: '2027-01-14' }))).toEqual([
      '01-14 01-17',
      '01-18 01-24',
    ]);
  });

  test('weeks skip pause weeks, days skip paused days, and nothing starts on a paused day', () => {
    const pauses = { p: { ...SPRING, first: '2027-01-18', last: '2027-01-22' } };
    expect(daysOf(units([weeks(2), weeks(1)], { pauses }))).toEqual(['01-11 01-31', '02-01 02-07']);
    expect(daysOf(units([days(7), days(5)], { pauses }))).toEqual(['01-11 01-17', '01-23 01-27']);
    const monday = { p: { ...SPRING, first: '2027-01-18', last: '2027-01-18' } };
    expect(daysOf(units([weeks(1), weeks(1)], { pauses: monday }))).toEqual(['01-11 01-17', '01-25 01-31']);
  });

  test('a pinned one starts on its date, and the following ones flow from its end', () => {
    expect(daysOf(units([weeks(1), { ...weeks(1), pin: '2027-02-10' }, weeks(1)]))).toEqual([
      '01-11 01-17',
      '02-10 02-14',
      '02-15 02-21',
    ]);
    expect(daysOf(units([weeks(1), { ...days(3), pin: '2027-02-10' }], { firstDay: null }))).toEqual([
      'undated',
      '02-10 02-12',
    ]);
  });
});

describe('meeting by meeting', () => {
  const tueThu = { pa: { weekdays: [2, 4], time: '10:00', minutes: 90, place: 'The shed' } };
  const meet = (count: number, dates: Partial<Dates>): Course =>
    courseOf(count, { format: 'meetings', meetings: 4, patterns: tueThu, ...dates });

  test('a section runs to the eve of the next meeting, the last to the end of its teaching week', () => {
    expect(daysOf(meet(4, {}))).toEqual(['01-12 01-13', '01-14 01-18', '01-19 01-20', '01-21 01-24']);
  });

  test('cancelled: its items stay there, or all later ones slide on by one', () => {
    const cancelled = (sections: 'keep' | 'slide'): Course =>
      meet(4, { changes: { 'pa_2027-01-14': { kind: 'cancelled', sections } } });
    expect(daysOf(cancelled('keep'))).toEqual(['01-12 01-13', '01-14 01-18', '01-19 01-20', '01-21 01-25']);
    expect(planSections(cancelled('keep')).spare).toHaveLength(1);
    expect(daysOf(cancelled('slide'))).toEqual(['01-12 01-18', '01-19 01-20', '01-21 01-25', '01-26 01-31']);
  });

  test('moved: numbers follow the original start, rows the actual one', () => {
    const moved = { kind: 'moved' as const, day: '2027-01-20', time: '09:00', minutes: 60, place: null };
    const plan = planSections(meet(4, { changes: { 'pa_2027-01-12': moved } }));
    expect(plan.slots.map(({ first }) => first.slice(5))).toEqual(['01-20', '01-14', '01-19', '01-21']);
    expect(plan.rows.map((row) => (row.kind === 'slot' ? row.slot.number : 0))).toEqual([2, 3, 1, 4]);
  });

  test('added ones come on top, and paused days have none', () => {
    const added = { kind: 'added' as const, day: '2027-01-13', time: '18:00', minutes: 60, place: null };
    expect(daysOf(meet(5, { changes: { extra: added } }))).toEqual([
      '01-12 01-12',
      '01-13 01-13',
      '01-14 01-18',
      '01-19 01-20',
      '01-21 01-24',
    ]);
    const pauses = { p: { ...SPRING, first: '2027-01-14', last: '2027-01-19' } };
    expect(daysOf(meet(4, { pauses }))).toEqual(['01-12 01-20', '01-21 01-25', '01-26 01-27', '01-28 01-31']);
  });

  test('until a last day, and together whatever pace is written down', () => {
    expect(daysOf(meet(3, { ends: 'day', lastDay: '2027-01-20', pace: 'joining' }))).toEqual([
      '01-12 01-13',
      '01-14 01-18',
      '01-19 01-20',
    ]);
  });
});

describe('other paces', () => {
  test('from joining: weeks of seven days from the day of joining, or from the first day', () => {
    const own = courseOf(2, { pace: 'joining', weeks: 2, pauses: { p: SPRING } });
    expect(daysOf(own)).toEqual(['own', 'own']);
    expect(daysOf(own, '2027-03-04')).toEqual(['03-04 03-10', '03-11 03-17']);
    expect(daysOf(own, '2026-12-01')).toEqual(['01-11 01-17', '01-18 01-24']);
    const stops = { ...own, dates: { ...own.dates, pausesForJoiners: true } };
    expect(daysOf(stops, '2027-03-04')).toEqual(['03-04 03-17', '03-18 03-24']);
  });

  test('no clock: sections have no days; around one item they are kept aside', () => {
    expect(daysOf(courseOf(2, { pace: 'none' }))).toEqual(['undated', 'undated']);
    const around = courseOf(2, { format: 'item', weeks: 2 });
    expect(daysOf(around)).toEqual(['aside', 'aside']);
    expect(planSections(around).lastDay).toBe('2027-01-24');
  });
});

test('what a course counts is counted, whoever’s days it is, and where it counts nothing that is said', () => {
  const counted = (dates: Partial<Dates>, change: Partial<Section> = {}): number | null =>
    slotCount(planCourse(courseOf(4, dates, change)));
  expect(counted({})).toBe(15);
  expect(counted({ pace: 'joining', weeks: 6 })).toBe(6);
  const span = { count: 1, unit: 'weeks' } as const;
  expect(counted({ format: 'units' }, { span })).toBe(4);
  expect(counted({ format: 'units', pace: 'joining' }, { span })).toBe(4);
  expect(counted({ pace: 'none' })).toBeNull();
  expect(counted({ format: 'item' })).toBeNull();
  // Without a first day there are no days of the course, but there are days of each one's own.
  expect(counted({ format: 'units', pace: 'joining', firstDay: null }, { span })).toBe(4);
  expect(counted({ firstDay: null })).toBe(15);
  expect(counted({ firstDay: null, format: 'meetings' })).toBeNull();
});

describe('sections', () => {
  const with3 = (change: Partial<Section>): Course => {
    const base = smallCourse();
    const third = { ...base.sections[1]!, id: 'C', items: [] };
    return { ...base, sections: [{ ...base.sections[0]!, ...change }, base.sections[1]!, third] };
  };

  test('take the weeks in reading order; those beyond are unplaced, weeks left over are spare', () => {
    expect(planSections(with3({})).unplaced).toEqual(['C']);
    const longer = { ...smallCourse(), dates: { ...smallCourse().dates, weeks: 4 } };
    expect(planSections(longer).spare.map(({ number }) => number)).toEqual([3, 4]);
  });

  test('outside the calendar take none, hidden ones keep theirs, removed ones are gone', () => {
    expect(planSections(with3({ outside: true })).unplaced).toEqual([]);
    expect(planSections(with3({ shown: false })).unplaced).toEqual(['C']);
    expect(planSections(with3({ removed: true })).sections.map(({ id }) => id)).toEqual(['B', 'C']);
  });

  test('every slot is taken once or spare, and every section is in the plan', () => {
    fc.assert(
      fc.property(course, (any) => {
        const plan = planSections(any);
        const taken = plan.sections.flatMap(({ span }) => (span.kind === 'slot' ? [span.slot] : []));
        expect([...taken, ...plan.spare]).toEqual(plan.slots);
        expect(plan.sections.length).toBe(any.sections.length);
      }),
      { numRuns: 200, seed: 8 },
    );
  });
});

describe('days and moments', () => {
  test('a moment falls into the week of the course’s own zone', () => {
    const at = (instant: string, change: Partial<Dates> = {}): unknown => {
      const of = { ...smallCourse(), dates: { ...smallCourse().dates, ...change } };
      return momentIn(planSections(of), of.dates.zone, instant);
    };
    expect(at('2027-01-10T23:59:59Z')).toEqual({ kind: 'before', days: 1 });
    expect(at('2027-01-11T00:00:00Z')).toEqual({ kind: 'slot', number: 1 });
    expect(at('2027-01-10T12:00:00Z', { zone: 'Pacific/Apia' })).toEqual({ kind: 'slot', number: 1 });
    expect(at('2027-01-24T23:59:59Z')).toEqual({ kind: 'slot', number: 2 });
    expect(at('2027-01-25T00:00:00Z')).toEqual({ kind: 'after' });
    expect(at('2027-01-25T00:00:00Z', { firstDay: null })).toEqual({ kind: 'undated' });
    const pauses = { p: { ...SPRING, first: '2027-01-18', last: '2027-01-24' } };
    expect(at('2027-01-20T00:00:00Z', { pauses })).toEqual({ kind: 'pause', name: 'Spring break' });
    expect(at('2027-02-20T00:00:00Z', { pace: 'none', weeks: 9 })).toEqual({ kind: 'within' });
  });

  test('a day begins at its first instant, also where midnight does not exist', () => {
    expect(startOfDay('2027-01-11', 'Europe/Lisbon')).toBe('2027-01-11T00:00:00Z');
    // In Santiago the clocks go from 24:00 to 01:00.
    expect(startOfDay('2026-09-06', 'America/Santiago')).toBe('2026-09-06T04:00:00Z');
  });

  test('the first instant of a day is in that day, and the one before it is not', () => {
    fc.assert(
      fc.property(day, zone, (any, where) => {
        const first = startOfDay(any, where);
        expect(dayOf(first, where)).toBe(any);
        const before = new Date(Date.parse(first) - 1).toISOString();
        expect(daysBetween(dayOf(before, where), any)).toBeGreaterThanOrEqual(1);
      }),
      { numRuns: 300, seed: 9 },
    );
  });

  test('clock changes are found by name of day', () => {
    expect(clockChanges('2027-01-11', '2027-04-25', 'Europe/Lisbon')).toEqual(['2027-03-28']);
    expect(clockChanges('2027-03-28', '2027-03-28', 'Europe/Lisbon')).toEqual(['2027-03-28']);
    expect(clockChanges('2027-01-11', '2027-12-25', 'UTC')).toEqual([]);
  });

  test('nearest and next weekday', () => {
    fc.assert(
      fc.property(day, fc.integer({ min: 1, max: 7 }), (any, weekday) => {
        const near = nearestWeekday(any, weekday);
        const next = weekdayOnOrAfter(any, weekday);
        expect([weekdayOf(near), weekdayOf(next)]).toEqual([weekday, weekday]);
        expect(Math.abs(daysBetween(any, near))).toBeLessThanOrEqual(3);
        expect(daysBetween(any, next)).toBeGreaterThanOrEqual(0);
        expect(daysBetween(any, next)).toBeLessThan(7);
      }),
      { numRuns: 200, seed: 10 },
    );
  });
});

test('days agree with Temporal, over leap years and centuries', () => {
  fc.assert(
    fc.property(day, fc.integer({ min: -40_000, max: 40_000 }), (any, days) => {
      const plain = Temporal.PlainDate.from(any);
      const moved = addDays(any, days);
      expect(moved).toBe(plain.add({ days }).toString());
      expect(daysBetween(any, moved)).toBe(days);
      expect(weekdayOf(moved)).toBe(plain.add({ days }).dayOfWeek);
    }),
    { numRuns: 500, seed: 20 },
  );
});
