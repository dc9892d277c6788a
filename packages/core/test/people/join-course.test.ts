/** What a course's plan says of joining: its window by its own clocks, its seats; and codes as they are typed. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { planCourse, SHUT_WAY } from '../../src/index.ts';
import type { Course, WayIn } from '../../src/index.ts';
import {
  CODE_LENGTH,
  codeOf,
  joinCourseOf,
  readCode,
  showCode,
  wayIn,
  wayOf,
} from '../../src/people/index.ts';
import { estuary } from '../support/estuary.ts';

const OPEN: WayIn = { ...SHUT_WAY, on: true };
const COURSE: Course = {
  ...estuary(),
  state: 'live',
};
const windowOf = (way: Partial<WayIn>, course: Course = COURSE) =>
  wayOf(planCourse({ ...course, ways: { link: { ...OPEN, ...way } } }), 'link').window;
const iso = (instant: unknown): unknown =>
  typeof instant === 'number' ? new Date(instant).toISOString() : instant;

test('a way that nobody has touched is shut', () => {
  expect(wayIn(planCourse(COURSE), 'link').on).toBe(false);
  expect(wayOf(planCourse(COURSE), 'link')).toMatchObject({ isOn: false, gives: 'learner', seats: null });
});

test('its window is by the course’s clocks: to the minute with that minute, to the day with that day', () => {
  const day = '2027-03-27';
  expect(iso(windowOf({ opens: { kind: 'fixed', day, time: '08:00' } }).opens)).toBe(
    '2027-03-27T08:00:00.000Z',
  );
  expect(iso(windowOf({ closes: { kind: 'fixed', day, time: '23:59' } }).closes)).toBe(
    '2027-03-28T00:00:00.000Z',
  );
  // The clocks go forward in the night after.
  expect(iso(windowOf({ closes: { kind: 'fixed', day: '2027-03-28', time: null } }).closes)).toBe(
    '2027-03-28T23:00:00.000Z',
  );
});

test('relative to the course it moves with it; without a date it opens not yet, and never closes', () => {
  const opens = {
    kind: 'relative',
    anchor: { of: 'course', at: 'start' },
    shift: { by: -7, unit: 'days' },
    weekday: null,
    time: '09:00',
  } as unknown as WayIn['opens'];
  expect(iso(windowOf({ opens }).opens)).toBe('2027-02-22T09:00:00.000Z');
  const undated = {
    ...COURSE,
    dates: { ...COURSE.dates, format: 'own_pace', firstDay: null },
  } as unknown as Course;
  const window = windowOf({ opens, closes: opens }, undated);
  expect(window).toEqual({ opens: 'undated', closes: null });
});

test('the course as joining asks for it', () => {
  const facts = { learners: [{ person: 'a', way: 'link' as const }], held: [], waiting: [] };
  expect(joinCourseOf(planCourse({ ...COURSE, seats: 20, find: 'here' }), facts, 0)).toEqual({
    state: 'live',
    goesLive: null,
    finding: 'here',
    seats: 20,
    hasLine: false,
    ...facts,
  });
});

describe('codes', () => {
  test.each([
    ['7k3m9-qr2xa', '7K3M9QR2XA'],
    [' 7K3M9 QR2XA ', '7K3M9QR2XA'],
    ['7K3M9–QR2XA', '7K3M9QR2XA'],
    ['ilo1O-ABCDE', '11010ABCDE'],
    ['７Ｋ３Ｍ９ＱＲ２ＸＡ', '7K3M9QR2XA'],
    ['7K3M9QR2X', null],
    ['7K3M9QR2XAA', null],
    ['7K3M9QR2XU', null],
    ['', null],
    ['<script>x</', null],
  ])('%s', (typed, code) => expect(readCode(typed)).toBe(code));

  test('as they are shown they are read; no letter is taken for another', () => {
    const bytes = fc.uint8Array({ minLength: CODE_LENGTH, maxLength: CODE_LENGTH });
    fc.assert(
      fc.property(bytes, (made) => {
        const code = codeOf(made);
        expect(code).toHaveLength(CODE_LENGTH);
        expect(readCode(showCode(code).toLowerCase())).toBe(code);
      }),
      { numRuns: 500 },
    );
    expect(new Set(Array.from({ length: 256 }, (_, byte) => codeOf(Uint8Array.of(byte)))).size).toBe(32);
  });
});
