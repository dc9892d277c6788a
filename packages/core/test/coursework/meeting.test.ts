/** Before a meeting, in it, after it (docs/semantics.md, Work). */
import { describe, expect, test } from '@jest/globals';
import { isAttending, meetingAt, momentsOf, newItem, planCourse } from '../../src/index.ts';
import type { Meeting, ResolvedAt } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';

const BEGINS = Date.parse('2027-03-05T09:30:00Z');
const MINUTE = 60_000;
const held = (more: Partial<ResolvedAt> = {}): ResolvedAt =>
  ({
    ...{ kind: 'at', day: '2027-03-05', time: '09:30', instant: BEGINS, clock: 'plain', nearest: false },
    ...more,
  }) as ResolvedAt;
const meeting = (minutes: number | null): Meeting =>
  newItem('meeting', { id: 'm', title: 'Boats', minutes }) as Meeting;

describe('a meeting', () => {
  test.each<[minutes: number | null, slot: number | null, lasts: number]>([
    [90, null, 90],
    [90, 45, 90],
    [null, 45, 45],
    [0, 45, 45],
    [null, null, 60],
  ])('of %p minutes, in a slot of %p, lasts %p', (minutes, slot, lasts) => {
    const at = (offset: number): string => meetingAt(meeting(minutes), held(), slot, BEGINS + offset).phase;
    expect([at(-1), at(0), at(lasts * MINUTE - 1), at(lasts * MINUTE)]).toEqual([
      ...['before', 'now', 'now', 'over'],
    ]);
  });

  test('of a day alone is held all day; without a day it is never held', () => {
    const day = held({ time: null });
    expect(meetingAt(meeting(90), day, null, BEGINS).ends).toBe(BEGINS + 24 * 60 * MINUTE);
    expect(meetingAt(meeting(90), undefined, 45, BEGINS)).toEqual({
      phase: 'undated',
      begins: null,
      ends: null,
    });
    expect(meetingAt(meeting(90), { kind: 'undated', because: 'anchor' }, 45, BEGINS).phase).toBe('undated');
  });

  test('is held by its own moment, over a change of clocks too', () => {
    const course = smallCourse();
    const one = newItem('meeting', {
      ...{ id: 'm', title: 'Boats', minutes: 60 },
      held: { kind: 'fixed', day: '2027-03-28', time: '09:30' },
    }) as Meeting;
    const [first, ...rest] = course.sections;
    const with_ = { ...course, sections: [{ ...first!, items: [one] }, ...rest] };
    const moments = momentsOf(planCourse(with_), 'm');
    // Lisbon has put its clocks forward that night.
    expect(meetingAt(one, moments.held, null, 0).begins).toBe(Date.parse('2027-03-28T08:30:00Z'));
  });

  test('there and late are there', () => {
    expect((['there', 'late', 'excused', 'away', null] as const).map(isAttending)).toEqual([
      ...[true, true, false, false, false],
    ]);
  });
});
