/**
 * From joining: each learner's own clock (docs/semantics.md, Sections in time). Day 1 is the day on which the
 * learner joined, or the course's first day if they joined earlier.
 */
import type { Dates } from '../course/schema/dates-schema.ts';
import type { UnitSpan } from '../course/schema/schema.ts';
import { toDay, toDayNumber } from './day-number.ts';
import type { Pauses } from './pauses.ts';
import type { Slot } from './rows.ts';

/** Days of the learner's own clock, from 1, both included. */
export interface OwnDays {
  readonly number: number;
  readonly firstOwn: number;
  readonly lastOwn: number;
}

/** Weeks of seven days, as many as the course has. */
export function ownWeeks(weeks: number): readonly OwnDays[] {
  return Array.from({ length: weeks }, (_, index) => ({
    number: index + 1,
    firstOwn: 7 * index + 1,
    lastOwn: 7 * index + 7,
  }));
}

/** Units one after the other, a week being seven plain days; pins are dates, and nobody's own clock has them. */
export function ownUnits(spans: readonly UnitSpan[]): readonly OwnDays[] {
  let last = 0;
  return spans.map(({ count, unit }, index) => {
    const firstOwn = last + 1;
    last += unit === 'weeks' ? 7 * count : count;
    return { number: index + 1, firstOwn, lastOwn: last };
  });
}

/** Day 1, as a day number. */
export function dayOne(dates: Dates, joined: string): number {
  const first = dates.firstDay === null ? -Infinity : toDayNumber(dates.firstDay);
  return Math.max(toDayNumber(joined), first);
}

/** Own days as calendar days. Where the course says so, paused days are not counted. */
export function placeOwnDays(
  own: readonly OwnDays[],
  dates: Dates,
  joined: string,
  pauses: Pauses,
): readonly Slot[] {
  const start = dayOne(dates, joined);
  const dayAt = dates.pausesForJoiners ? countingUnpaused(start, pauses) : (at: number) => start + at - 1;
  return own.map(({ number, firstOwn, lastOwn }) => {
    const [first, last] = [dayAt(firstOwn), dayAt(lastOwn)];
    const marks = dates.pausesForJoiners ? pauses.within(first, last).map(({ id }) => id) : [];
    return { number, first: toDay(first), last: toDay(last), pauses: marks, meeting: null };
  });
}

/** From an own day to its calendar day; asked for with rising days. Pauses are finite, so the walk ends. */
function countingUnpaused(start: number, pauses: Pauses): (at: number) => number {
  let here = start - 1;
  let counted = 0;
  return (at) => {
    while (counted < at) {
      here += 1;
      if (!pauses.isPaused(here)) counted += 1;
    }
    return here;
  };
}
