/**
 * Week by week, together (docs/semantics.md, Sections in time).
 *
 * Worked example: first day Mon 11 Jan 2027, fifteen weeks and a spring break of 8–14 Mar *between* weeks give
 * week 8 = 1–7 Mar, the break, week 9 = 15–21 Mar, and week 15 = 26 Apr – 2 May.
 */
import type { Dates } from '../course/schema/dates-schema.ts';
import { MAX_WEEKS } from '../course/schema/dates-schema.ts';
import { toDay, toDayNumber, weekdayOfNumber } from './day-number.ts';
import type { DatedPause, Pauses } from './pauses.ts';
import { hasTeachingDay } from './pauses.ts';
import type { Calendar, CalendarRow, Slot } from './rows.ts';
import { NO_CALENDAR } from './rows.ts';

/** The day before the next teaching week begins. */
export function endOfTeachingWeek(day: number, weekStart: number): number {
  return day + 6 - ((weekdayOfNumber(day) - weekStart + 7) % 7);
}

/** The first day from which weeks are counted: a course that *moves* begins on the nearest week's start. */
export function effectiveFirstDay(
  dates: Pick<Dates, 'format' | 'firstDay' | 'offWeek' | 'weekStart'>,
): number | null {
  if (dates.firstDay === null) return null;
  const first = toDayNumber(dates.firstDay);
  // Units and meetings have days of their own, which would stay where they are.
  if (dates.offWeek !== 'move' || dates.format !== 'weeks') return first;
  const ahead = (dates.weekStart - weekdayOfNumber(first) + 7) % 7;
  return first + (ahead > 3 ? ahead - 7 : ahead);
}

/** The first day that counts, ISO; null: the course has none. */
export function firstDayOf(dates: Parameters<typeof effectiveFirstDay>[0]): string | null {
  const first = effectiveFirstDay(dates);
  return first === null ? null : toDay(first);
}

/** Weeks from the first day on, without end: the caller stops. */
function* weeksFrom(first: number, dates: Dates): Generator<readonly [number, number]> {
  let from = first;
  if (dates.offWeek === 'short') {
    let end = endOfTeachingWeek(first, dates.weekStart);
    if (!hasTeachingDay(dates.teachingDays, first, end)) end += 7;
    yield [first, end];
    from = end + 1;
  }
  for (; ; from += 7) yield [from, from + 6];
}

export function teachingWeeks(dates: Dates, pauses: Pauses): Calendar {
  const first = effectiveFirstDay(dates);
  if (first === null) return NO_CALENDAR;
  const lastDay = dates.ends === 'weeks' || dates.lastDay === null ? null : toDayNumber(dates.lastDay);
  const most = lastDay === null ? dates.weeks : MAX_WEEKS;
  const slots: Slot[] = [];
  const rows: CalendarRow[] = [];
  let number = 0;
  for (const [from, to] of weeksFrom(first, dates)) {
    if (number === most) break;
    const last = lastDay === null ? to : Math.min(to, lastDay);
    if (!hasTeachingDay(dates.teachingDays, from, last)) break;
    const pause = pauses.ofWeek(from, last);
    if (pause === null) {
      number += 1;
      const marks = pauses.within(from, last).map(({ id }) => id);
      const slot = { number, first: toDay(from), last: toDay(last), pauses: marks, meeting: null };
      slots.push(slot);
      rows.push({ kind: 'slot', slot });
    } else if (pause.policy !== 'silent') {
      if (pause.policy === 'counted') number += 1;
      addPauseRow(rows, pause, pause.policy === 'counted' ? number : null, from, last);
    }
  }
  return { slots, rows };
}

/** Weeks of one pause that stand together are one row; counted ones have a number each. */
function addPauseRow(
  rows: CalendarRow[],
  { id, name, policy }: DatedPause,
  number: number | null,
  from: number,
  to: number,
): void {
  const before = rows.at(-1);
  if (before?.kind === 'pause' && before.pause.pause === id && number === null) {
    rows[rows.length - 1] = { kind: 'pause', pause: { ...before.pause, last: toDay(to) } };
    return;
  }
  const row = { pause: id, name, policy, number, first: toDay(from), last: toDay(to) };
  rows.push({ kind: 'pause', pause: row });
}
