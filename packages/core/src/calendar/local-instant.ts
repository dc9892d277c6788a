/** Instants, and moments as they are written down by the clocks of a zone. */
import type { LocalMoment } from '../course/schema/access-schema.ts';
import type { Course } from '../course/schema/schema.ts';
import { toDay, toDayNumber } from './day-number.ts';
import { minuteOf, timeOf, zoneOf } from './zone.ts';

/** In milliseconds since 1970-01-01T00:00Z. */
export function instantOf(course: Course, { day, time }: LocalMoment): number {
  return zoneOf(course.dates.zone).locate(toDayNumber(day), minuteOf(time)).instant;
}

const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;

/** By the clocks of a zone, the first minute that has begun at or after it. @param instant in milliseconds since 1970-01-01T00:00Z */
export function localMomentOf(zone: string, instant: number): LocalMoment {
  const local = zoneOf(zone).localOf(Math.ceil(instant / MINUTE_MS) * MINUTE_MS);
  const day = Math.floor(local / DAY_MS);
  return { day: toDay(day), time: timeOf(Math.floor((local - day * DAY_MS) / MINUTE_MS)) };
}
