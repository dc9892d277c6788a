/** The instant of a moment that is written down by the course's own clocks. */
import type { LocalMoment } from '../course/schema/access-schema.ts';
import type { Course } from '../course/schema/schema.ts';
import { toDayNumber } from './day-number.ts';
import { minuteOf, zoneOf } from './zone.ts';

/** In milliseconds since 1970-01-01T00:00Z. */
export function instantOf(course: Course, { day, time }: LocalMoment): number {
  return zoneOf(course.dates.zone).locate(toDayNumber(day), minuteOf(time)).instant;
}
