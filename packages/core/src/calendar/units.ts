/**
 * Unit by unit, together: each unit takes a span of weeks or days, or is pinned to a date; the following ones
 * flow from its end (docs/semantics.md, Sections in time).
 *
 * Worked example: from Mon 11 Jan 2027, units of 2 weeks, 10 days and 1 week take 11–24 Jan, 25 Jan – 3 Feb,
 * and 8–14 Feb: the last one, in whole weeks, waits for the next teaching week.
 */
import type { Dates } from '../course/schema/dates-schema.ts';
import type { UnitSpan } from '../course/schema/schema.ts';
import { toDay, toDayNumber } from './day-number.ts';
import type { Pauses } from './pauses.ts';
import type { Calendar, CalendarRow, Slot } from './rows.ts';
import { endOfTeachingWeek } from './teaching-weeks.ts';

export interface Unit {
  readonly span: UnitSpan;
  /** ISO day, or null. */
  readonly pin: string | null;
}

/** Slots for the units in reading order; those without a date (no first day, nothing pinned yet) are null. */
export function unitSlots(units: readonly Unit[], dates: Dates, pauses: Pauses): readonly (Slot | null)[] {
  let end: number | null = null;
  let number = 0;
  return units.map((unit) => {
    const start = startOf(unit, end, dates, pauses);
    if (start === null) return null;
    end =
      unit.span.unit === 'days'
        ? endOfDays(start, unit.span.count, pauses)
        : endOfWeeks(start, unit.span.count, dates, pauses);
    number += 1;
    return {
      number,
      first: toDay(start),
      last: toDay(end),
      pauses: pauses.within(start, end).map(({ id }) => id),
      meeting: null,
    };
  });
}

function startOf({ pin, span }: Unit, end: number | null, dates: Dates, pauses: Pauses): number | null {
  if (pin !== null) return toDayNumber(pin);
  if (end === null) {
    return dates.firstDay === null ? null : nextUnpaused(toDayNumber(dates.firstDay), pauses);
  }
  if (span.unit === 'days') return nextUnpaused(end + 1, pauses);
  let week = endOfTeachingWeek(end, dates.weekStart) + 1;
  while (pauses.isPaused(week) || pauses.ofWeek(week, week + 6) !== null) week += 7;
  return week;
}

// Pauses are finite, in number and length (MAX_PAUSES, MAX_PAUSE_DAYS), so each of these walks ends.
function nextUnpaused(day: number, pauses: Pauses): number {
  let here = day;
  while (pauses.isPaused(here)) here += 1;
  return here;
}

function endOfDays(start: number, count: number, pauses: Pauses): number {
  let here = start;
  let counted = pauses.isPaused(here) ? 0 : 1;
  while (counted < count) {
    here += 1;
    if (!pauses.isPaused(here)) counted += 1;
  }
  return here;
}

/** The week that the unit starts in counts, also when only a part of it is left. */
function endOfWeeks(start: number, count: number, dates: Dates, pauses: Pauses): number {
  let end = endOfTeachingWeek(start, dates.weekStart);
  let counted = 1;
  let week = end;
  while (counted < count) {
    week += 7;
    if (pauses.ofWeek(week - 6, week) !== null) continue;
    counted += 1;
    end = week;
  }
  return end;
}

/**
 * The rows of a calendar whose slots do not come in weeks: its slots by their days, and the pauses that no
 * slot reaches into as rows between them. Only weeks can be counted; a counted pause is a row all the same.
 */
export function rowsAround(
  slots: readonly Slot[],
  pauses: Pauses,
  from: string,
  to: string,
): readonly CalendarRow[] {
  const inSlots = new Set(slots.flatMap((slot) => slot.pauses));
  const between = pauses.all
    .filter(({ id, policy }) => policy !== 'silent' && !inSlots.has(id))
    .map(({ id, name, policy, first, last }): CalendarRow => ({
      kind: 'pause',
      pause: { pause: id, name, policy, number: null, first: toDay(first), last: toDay(last) },
    }))
    .filter((row) => firstOf(row) >= from && firstOf(row) <= to);
  const taken = slots.map((slot): CalendarRow => ({ kind: 'slot', slot }));
  return [...taken, ...between].sort(
    (a, b) => compare(firstOf(a), firstOf(b)) || compare(timeOf(a), timeOf(b)),
  );
}

const firstOf = (row: CalendarRow): string => (row.kind === 'slot' ? row.slot.first : row.pause.first);
const timeOf = (row: CalendarRow): string => (row.kind === 'slot' ? (row.slot.meeting?.time ?? '') : '');
const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

export function unitCalendar(slots: readonly (Slot | null)[], dates: Dates, pauses: Pauses): Calendar {
  const placed = slots.filter((slot) => slot !== null);
  const days = [dates.firstDay, ...placed.flatMap(({ first, last }) => [first, last])].filter(
    (day) => day !== null,
  );
  const from = days.reduce((low, day) => (day < low ? day : low), days[0] ?? '');
  const to = days.reduce((high, day) => (day > high ? day : high), '');
  return { slots: placed, rows: rowsAround(placed, pauses, from, to) };
}
