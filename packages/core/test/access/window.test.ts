/** Outside a course's dates: what learners get of it, until which instant, and by whose clock. */
import { describe, expect, test } from '@jest/globals';
import { boundsOf, courseView, newDates, planCourse, resolveAccess } from '../../src/index.ts';
import type { Course, Dates, Outside, Viewer } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';

const LEARNER: Viewer = { role: 'learner', institutionStaff: false };
const course = (dates: Partial<Dates>, before: Outside = 'open', after: Outside = 'open'): Course => ({
  ...smallCourse(),
  state: 'live',
  dates: newDates({ firstDay: '2027-03-01', weeks: 4, zone: 'Europe/Lisbon', ...dates }),
  window: { before, after },
});
const until = { ends: 'day' as const, lastDay: '2027-03-28' };
const iso = (instant: number | null): string | null =>
  instant === null ? null : new Date(instant).toISOString();
const bounds = (dates: Partial<Dates>, joined: string | null = null): (string | null)[] => {
  const { opensAt, closesAt } = boundsOf(planCourse(course(dates), { joined }));
  return [iso(opensAt), iso(closesAt)];
};

describe('the dates, as instants', () => {
  test('the last day counts to its last moment, on the night on which the clocks go forward too', () => {
    expect(bounds(until)).toEqual(['2027-03-01T00:00:00.000Z', '2027-03-28T23:00:00.000Z']);
    expect(bounds({ ...until, zone: 'Asia/Kathmandu' })).toEqual([
      '2027-02-28T18:15:00.000Z',
      '2027-03-28T18:15:00.000Z',
    ]);
  });

  test('a last minute counts whole', () =>
    expect(bounds({ ...until, lastTime: '18:00' })[1]).toBe('2027-03-28T17:01:00.000Z'));

  test('without a last day it never closes, without a first one it never opens late', () => {
    expect(bounds({})).toEqual(['2027-03-01T00:00:00.000Z', null]);
    expect(bounds({ firstDay: null })).toEqual([null, null]);
  });

  test('by one’s own clock the last day is one’s own', () => {
    const joining = { pace: 'joining' as const };
    expect(bounds(joining, '2027-04-05')).toEqual(['2027-03-01T00:00:00.000Z', '2027-05-02T23:00:00.000Z']);
    expect(bounds(joining)[1]).toBeNull();
    // Meetings are held together, whatever pace is written down.
    expect(bounds({ ...joining, ...until, format: 'meetings' }, '2027-04-05')[1]).toBe(
      '2027-03-28T23:00:00.000Z',
    );
  });
});

type Row = readonly [Outside, Outside, string, string, string, string];
const BEFORE = '2027-02-28T23:59:59Z';
const FIRST = '2027-03-01T00:00:00Z';
const LAST = '2027-03-28T22:59:59Z';
const AFTER = '2027-03-28T23:00:00Z';
const TABLE: readonly Row[] = [
  ['closed', 'closed', BEFORE, 'named', 'before_dates', 'absent'],
  ['closed', 'closed', FIRST, 'open', 'member', 'open'],
  ['closed', 'closed', LAST, 'open', 'member', 'open'],
  ['closed', 'closed', AFTER, 'named', 'after_dates', 'absent'],
  ['look', 'look', BEFORE, 'look', 'before_dates', 'look'],
  ['look', 'look', FIRST, 'open', 'member', 'open'],
  ['look', 'look', AFTER, 'look', 'after_dates', 'look'],
  ['open', 'open', BEFORE, 'open', 'member', 'open'],
  ['open', 'open', AFTER, 'open', 'member', 'open'],
  ['open', 'closed', BEFORE, 'open', 'member', 'open'],
  ['closed', 'look', AFTER, 'look', 'after_dates', 'look'],
];

test.each(TABLE)(
  '%s before, %s after, at %s: %s because %s; an item %s',
  (before, after, at, state, because, item) => {
    const { course: own, nodes } = resolveAccess(course(until, before, after), LEARNER, at);
    expect([own.state, own.because, nodes.get('a1')?.state]).toEqual([state, because, item]);
  },
);

describe('who is in the course', () => {
  test('staff have all of it, a visitor looks at most, an archived one is only looked at', () => {
    const closed = course(until, 'closed', 'closed');
    const state = (viewer: Viewer, of: Course = closed): string | undefined =>
      resolveAccess(of, viewer, BEFORE).nodes.get('a1')?.state;
    expect(state({ role: 'instructor', institutionStaff: false })).toBe('open');
    expect(state({ role: null, institutionStaff: true })).toBe('open');
    expect(state({ role: 'visitor', institutionStaff: false })).toBe('absent');
    expect(state(LEARNER, { ...closed, state: 'archived' })).toBe('absent');
    expect(state(LEARNER, { ...course(until), state: 'archived' })).toBe('look');
  });

  test('gets the public page while it is closed, with the instant at which it opens', () => {
    const text = 'a'.repeat(64);
    const closed = { ...course(until, 'closed', 'closed'), description: text, introduction: text };
    const before = courseView(closed, LEARNER, BEFORE);
    expect(before).toMatchObject({
      access: 'named',
      opens: '2027-03-01T00:00:00.000Z',
      title: 'Estuary Field Methods',
      description: text,
      sections: [],
      pauses: [],
      around: null,
      introduction: null,
    });
    expect(courseView(closed, LEARNER, AFTER)).toMatchObject({ access: 'named', opens: null, sections: [] });
    expect(courseView(closed, LEARNER, FIRST)).toMatchObject({ access: 'open', opens: null });
    const around = { ...closed, dates: { ...closed.dates, format: 'item' as const, around: 'a1' } };
    expect(courseView(around, LEARNER, BEFORE)).toMatchObject({ around: null, introduction: null });
  });
});

test('the state and the choice are the course’s own, whatever plan is at hand', () => {
  const live = course(until, 'closed', 'closed');
  const draft = {
    ...live,
    state: 'draft' as const,
    window: { before: 'open' as const, after: 'open' as const },
  };
  const plan = planCourse(draft);
  expect(resolveAccess(live, LEARNER, BEFORE, plan).course.because).toBe('before_dates');
  expect(resolveAccess(live, LEARNER, FIRST, plan).course.state).toBe('open');
  expect(resolveAccess(draft, LEARNER, FIRST, planCourse(live)).course.because).toBe('course_draft');
});
