/** Plain days, as ISO `YYYY-MM-DD` strings in the course's zone: their order is the order of the strings. */
import { Temporal } from 'temporal-polyfill';
import { toDay, toDayNumber, weekdayOfNumber } from './day-number.ts';

export function addDays(day: string, days: number): string {
  return toDay(toDayNumber(day) + days);
}

/** Days from `first` to `last`; 0 for the same day, negative when `last` is earlier. */
export function daysBetween(first: string, last: string): number {
  return toDayNumber(last) - toDayNumber(first);
}

/** ISO weekday: Monday is 1, Sunday is 7. */
export function weekdayOf(day: string): number {
  return weekdayOfNumber(toDayNumber(day));
}

/** The day of an instant (ISO, with offset or Z) in a zone. */
export function dayOf(instant: string, zone: string): string {
  return Temporal.Instant.from(instant).toZonedDateTimeISO(zone).toPlainDate().toString();
}

/** The first instant of a day in a zone. Days are not always 24 hours, and do not always begin at 00:00. */
export function startOfDay(day: string, zone: string): string {
  return Temporal.PlainDate.from(day).toZonedDateTime(zone).toInstant().toString();
}

/** The nearest day that falls on `weekday`, the earlier one when two are as near. */
export function nearestWeekday(day: string, weekday: number): string {
  const ahead = (weekday - weekdayOf(day) + 7) % 7;
  return addDays(day, ahead > 3 ? ahead - 7 : ahead);
}

/** The first day on or after `day` that falls on `weekday`. */
export function weekdayOnOrAfter(day: string, weekday: number): string {
  return addDays(day, (weekday - weekdayOf(day) + 7) % 7);
}

/** Enough for every zone there is, in a course of two years; a bound for the walk below. */
const MAX_CLOCK_CHANGES = 24;

/** The days, from `first` to `last`, on which the clocks of a zone are changed. */
export function clockChanges(first: string, last: string, zone: string): readonly string[] {
  const days: string[] = [];
  let at = Temporal.PlainDate.from(first).toZonedDateTime(zone).subtract({ nanoseconds: 1 });
  for (let count = 0; count < MAX_CLOCK_CHANGES; count += 1) {
    const next = at.getTimeZoneTransition('next');
    if (next === null) break;
    const day = next.toPlainDate().toString();
    if (day > last) break;
    days.push(day);
    at = next;
  }
  return days;
}
