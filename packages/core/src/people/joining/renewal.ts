/**
 * A payment that counts for a period, and is asked for again when that is over (docs/semantics.md, Joining): for how
 * long it counts, and what is to be done about it at an instant.
 */
import { Temporal } from 'temporal-polyfill';
import { dayOf } from '../../calendar/days.ts';
import type { CoursePlan } from '../../calendar/course-plan.ts';
import { wayIn } from './of-course.ts';

const DAY_MS = 86_400_000;
/** So long before, whoever pays is told what will be taken; and so long after it was refused they may still pay. */
export const RENEWAL_DAYS = 7;

/**
 * @param from the instant at which the period begins, ISO
 * @returns the same day of the month, or its last, and the same time in the course's zone, so many months on: ISO, UTC
 */
export function periodEnd(from: string, months: number, zone: string): string {
  const end = Temporal.Instant.from(from).toZonedDateTimeISO(zone).add({ months });
  return new Date(end.epochMilliseconds).toISOString();
}

export interface Renewing {
  /** Until when the last period counts, in milliseconds. */
  readonly until: number;
  /** Whoever pays wants no other period. */
  readonly isStopped: boolean;
  /** They have been told what will be taken. */
  readonly isTold: boolean;
  /** What became of asking for the next period; null: it has not been asked for. */
  readonly next: 'under_way' | 'refused' | null;
}

/** `tell` before it is taken, `charge` when it is due, `end` when nothing more is paid; null: nothing is to be done. */
export type RenewalAct = 'tell' | 'charge' | 'end' | null;

/** Whether a course asks anybody for another period that begins at an instant: nobody pays for what is over. */
export function renewsAt(plan: CoursePlan, at: number): boolean {
  const { on, price } = wayIn(plan, 'paying');
  const { course, lastDay } = plan;
  if (!on || price === null || price.months === null || course.state !== 'live') return false;
  return lastDay === null || dayOf(new Date(at).toISOString(), course.dates.zone) <= lastDay;
}

/** @param renews as `renewsAt` has it for the end of the period: where it does not, whoever has paid stays */
export function renewalAct(
  { until, isStopped, isTold, next }: Renewing,
  renews: boolean,
  at: number,
): RenewalAct {
  if (!renews) return null;
  if (at < until) return isTold || at < until - RENEWAL_DAYS * DAY_MS ? null : 'tell';
  if (next === 'under_way') return null;
  if (isStopped) return 'end';
  if (next === null) return 'charge';
  return at < until + RENEWAL_DAYS * DAY_MS ? null : 'end';
}
