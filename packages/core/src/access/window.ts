/**
 * The instants between which a course's dates lie for one person (docs/semantics.md, Access). A day is a day in
 * the course's zone; the last one counts to its last moment, and a last minute counts whole.
 */
import type { CoursePlan } from '../calendar/course-plan.ts';
import { toDayNumber } from '../calendar/day-number.ts';
import { minuteOf, zoneOf } from '../calendar/zone.ts';

const MINUTE_MS = 60_000;

export interface Bounds {
  /** Milliseconds since 1970-01-01T00:00Z; null: there is no first day. */
  readonly opensAt: number | null;
  /** The first instant after the last day; null: it never closes. */
  readonly closesAt: number | null;
}

/** From when on nobody can work in the course any more; infinity: always. */
export function endOfWork(plan: CoursePlan): number {
  const { closesAt } = boundsOf(plan);
  return closesAt === null || plan.course.window.after === 'open' ? Infinity : closesAt;
}

export function boundsOf(plan: CoursePlan): Bounds {
  const { firstDay, lastDay, joined } = plan;
  const { dates } = plan.course;
  const zone = zoneOf(dates.zone);
  const opensAt = firstDay === null ? null : zone.startOf(toDayNumber(firstDay));
  // By one's own clock the last day is one's own; together, only a last day that somebody has set closes.
  const isPaced = dates.format === 'weeks' || dates.format === 'units';
  const byJoining = isPaced && dates.pace === 'joining';
  const isOwn = byJoining && joined !== null;
  const closes = byJoining ? isOwn : dates.ends !== 'weeks';
  if (lastDay === null || !closes) return { opensAt, closesAt: null };
  const last = toDayNumber(lastDay);
  if (isOwn || dates.lastTime === null) return { opensAt, closesAt: zone.startOf(last + 1) };
  return { opensAt, closesAt: zone.locate(last, minuteOf(dates.lastTime)).instant + MINUTE_MS };
}
