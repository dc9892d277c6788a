import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import {
  addDays,
  clockChanges,
  dayOf,
  daysBetween,
  nearestWeekday,
  planSections,
  startOfDay,
  teachingWeeks,
  weekAt,
  weekdayOf,
  weekdayOnOrAfter,
} from '../src/index.ts';
import type { Course } from '../src/index.ts';
import { course, day, smallCourse, zone } from './arbitraries.ts';

const DAY_MS = 86_400_000;

/** The next day, without any of the code under test. */
const nextDay = (iso: string): string => new Date(Date.parse(iso) + DAY_MS).toISOString().slice(0, 10);

/** The slow way: walk day by day, and count a week whenever seven have passed. */
function slowWeeks(firstDay: string, weeks: number): { first: string; last: string }[] {
  const found: { first: string; last: string }[] = [];
  let here = firstDay;
  for (let at = 0; at < weeks; at += 1) {
    const first = here;
    for (let passed = 0; passed < 6; passed += 1) here = nextDay(here);
    found.push({ first, last: here });
    here = nextDay(here);
  }
  return found;
}

describe('weeks', () => {
  test('fifteen from Mon 11 Jan 2027 end on Sun 25 Apr', () => {
    const weeks = teachingWeeks({ ...smallCourse().dates, weeks: 15 });
    expect(weeks[0]).toEqual({ number: 1, first: '2027-01-11', last: '2027-01-17' });
    expect(weeks.at(-1)).toEqual({ number: 15, first: '2027-04-19', last: '2027-04-25' });
  });

  test('agree with a day-by-day walk', () => {
    fc.assert(
      fc.property(day, fc.integer({ min: 1, max: 104 }), (firstDay, count) => {
        const weeks = teachingWeeks({ ...smallCourse().dates, firstDay, weeks: count });
        expect(weeks.map(({ first, last }) => ({ first, last }))).toEqual(slowWeeks(firstDay, count));
      }),
      { numRuns: 300, seed: 7 },
    );
  });

  test('there are none without a first day', () => {
    const plan = planSections({ ...smallCourse(), dates: { ...smallCourse().dates, firstDay: null } });
    expect(plan).toMatchObject({ weeks: [], lastDay: null, unplaced: ['A', 'B'] });
  });
});

describe('sections', () => {
  const with3 = (change: Partial<Course['sections'][number]>): Course => {
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

  test('every week is taken once or spare, every section placed, outside or unplaced', () => {
    fc.assert(
      fc.property(course, (any) => {
        const plan = planSections(any);
        const taken = plan.sections.flatMap(({ span }) => (span.kind === 'week' ? [span.week.number] : []));
        const all = [...taken, ...plan.spare.map(({ number }) => number)];
        expect(all).toEqual(plan.weeks.map(({ number }) => number));
        expect(plan.sections.length).toBe(any.sections.length);
      }),
      { numRuns: 200, seed: 8 },
    );
  });
});

describe('days and moments', () => {
  test('a moment falls into the week of the course’s own zone', () => {
    const { dates } = smallCourse();
    expect(weekAt(dates, '2027-01-10T23:59:59Z')).toEqual({ kind: 'before', days: 1 });
    expect(weekAt(dates, '2027-01-11T00:00:00Z')).toEqual({ kind: 'week', number: 1 });
    expect(weekAt({ ...dates, zone: 'Pacific/Apia' }, '2027-01-10T12:00:00Z')).toEqual({
      kind: 'week',
      number: 1,
    });
    expect(weekAt(dates, '2027-01-24T23:59:59Z')).toEqual({ kind: 'week', number: 2 });
    expect(weekAt(dates, '2027-01-25T00:00:00Z')).toEqual({ kind: 'after' });
    expect(weekAt({ ...dates, firstDay: null }, '2027-01-25T00:00:00Z')).toEqual({ kind: 'undated' });
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
