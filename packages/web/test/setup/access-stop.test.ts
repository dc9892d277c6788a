/** What a learner gets around a course's dates, as the stop for access shows it. */
import { describe, expect, test } from '@jest/globals';
import { newDates, planCourse } from '@itinerary/core';
import type { Course, Dates, Outside } from '@itinerary/core';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import { whatThen } from '../../src/setup/access/what-then.ts';
import { messages } from '../support/messages.ts';
import { windowMoments } from '../../src/setup/access/moments.ts';

const NOW = '2027-02-16T09:42:00.000Z';
const course = (dates: Partial<Dates>, before: Outside, after: Outside): Course => ({
  ...smallCourse(),
  dates: newDates({ firstDay: '2027-03-01', weeks: 2, zone: 'Europe/Lisbon', ...dates }),
  window: { before, after },
});
const rows = (of: Course): string[] =>
  windowMoments(planCourse(of), NOW).map(
    ({ what, at, state, readable, all }) => `${what} ${at.slice(0, 16)} ${state} ${readable}/${all}`,
  );

describe('the moments', () => {
  test('of a draft are those of the course once it is live', () => {
    const until = { ends: 'day' as const, lastDay: '2027-03-14' };
    expect(rows(course(until, 'closed', 'look'))).toEqual([
      'now 2027-02-16T09:42 named 0/4',
      'eve 2027-02-28T23:59 named 0/4',
      'first 2027-03-01T00:00 open 4/4',
      'last 2027-03-14T23:59 open 4/4',
      'after 2027-03-15T00:00 look 4/4',
    ]);
  });

  test('are fewer where there is no last day, or no first one', () => {
    expect(rows(course({}, 'look', 'closed'))).toEqual([
      'now 2027-02-16T09:42 look 4/4',
      'eve 2027-02-28T23:59 look 4/4',
      'first 2027-03-01T00:00 open 4/4',
    ]);
    expect(rows(course({ firstDay: null }, 'closed', 'closed'))).toEqual(['now 2027-02-16T09:42 open 4/4']);
  });

  test('count what is hidden or opens later as not to be read', () => {
    const base = course({}, 'open', 'open');
    const later = { kind: 'fixed' as const, day: '2027-03-10', time: null };
    const [first, second] = base.sections;
    const items = first!.items.map((item) => (item.id === 'a1' ? { ...item, shown: false } : item));
    const some = {
      ...base,
      sections: [
        { ...first!, items },
        { ...second!, opens: later },
      ],
    };
    expect(rows(some).at(-1)).toBe('first 2027-03-01T00:00 open 2/4');
  });

  test('of an archived course are to be looked at', () => {
    expect(rows({ ...course({}, 'open', 'open'), state: 'archived' })).toEqual([
      'now 2027-02-16T09:42 look 4/4',
      'eve 2027-02-28T23:59 look 4/4',
      'first 2027-03-01T00:00 look 4/4',
    ]);
  });
});

describe('what Go live says that learners get', () => {
  const ends = { ends: 'day' as const, lastDay: '2027-03-14' };
  const FIRST = Date.parse('2027-03-01T00:00:00Z');
  const said = (of: Course, at = NOW): unknown => whatThen(planCourse(of), Date.parse(at));
  const after = '2027-03-15T00:00:00.000Z';

  test('is what is chosen for the days before the first, until then', () => {
    for (const before of ['closed', 'look', 'open'] as const)
      expect(said(course({}, before, 'closed'))).toEqual({ key: before, opensAt: FIRST });
  });

  test('is all that no rule keeps closed once they have begun, or where there is no first day', () => {
    const now = { key: 'now', opensAt: null };
    expect(said(course({ firstDay: null }, 'closed', 'closed'))).toEqual(now);
    expect(said(course(ends, 'closed', 'closed'), '2027-03-01T00:00:00.000Z')).toEqual(now);
    expect(said(course({}, 'closed', 'closed'), after)).toEqual(now);
    expect(said(course(ends, 'closed', 'open'), after)).toEqual(now);
  });

  test('is what is chosen for the days after the last, where those have come', () => {
    expect(said(course(ends, 'open', 'look'), after)).toEqual({ key: 'over.look', opensAt: null });
    expect(said(course(ends, 'open', 'closed'), after)).toEqual({ key: 'over.closed', opensAt: null });
  });

  test('has a sentence for each, in every language', () => {
    for (const { setup } of Object.values(messages)) {
      const { over, ...then } = setup.goLive.then;
      const all = [...Object.values(then), ...Object.values(over)];
      expect([all.length, new Set(all).size]).toEqual([6, 6]);
    }
  });
});
