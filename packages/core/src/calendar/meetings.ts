/**
 * Meeting by meeting: a weekly pattern makes the sections; single meetings can be cancelled, moved, added
 * (docs/semantics.md, Sections in time).
 *
 * Worked example: Tuesdays and Thursdays at 10:00 from Mon 11 Jan 2027 are held on 12, 14, 19, 21 Jan, …; the
 * section of the first runs 12–13 Jan, to the eve of the next meeting's day.
 */
import { MAX_MEETINGS, meetingKey } from '../course/schema/dates-schema.ts';
import type { Dates } from '../course/schema/dates-schema.ts';
import { toDay, toDayNumber, weekdayOfNumber } from './day-number.ts';
import type { Pauses } from './pauses.ts';
import type { Calendar, HeldMeeting, Slot } from './rows.ts';
import { NO_CALENDAR } from './rows.ts';
import { endOfTeachingWeek } from './teaching-weeks.ts';
import { rowsAround } from './units.ts';

/** A week without any occurrence for this long cannot be told from the end of the course. */
const MAX_DAYS = 7 * 400;

/** Every meeting in the order of its original start; cancelled ones are in it. */
export function meetingsOf(dates: Dates, pauses: Pauses): readonly HeldMeeting[] {
  const made = fromPatterns(dates, pauses);
  const added = Object.entries(dates.changes).flatMap(([key, change]): HeldMeeting[] => {
    if (change.kind !== 'added') return [];
    const { day, time, minutes, place } = change;
    return [{ key, pattern: null, originalDay: day, day, time, minutes, place, status: 'added' }];
  });
  const start = new Map(made.map(({ meeting, time }) => [meeting.key, `${meeting.originalDay} ${time}`]));
  const startOf = (meeting: HeldMeeting): string =>
    start.get(meeting.key) ?? `${meeting.originalDay} ${meeting.time}`;
  return [...made.map(({ meeting }) => meeting), ...added].sort((a, b) => {
    const [one, other] = [startOf(a), startOf(b)];
    return one < other ? -1 : one > other ? 1 : a.key < b.key ? -1 : 1;
  });
}

interface Occurrence {
  readonly meeting: HeldMeeting;
  /** The time that its pattern gives it. */
  readonly time: string;
}

/** The patterns' own meetings, until as many are held as the course wants, or its last day. */
function fromPatterns(dates: Dates, pauses: Pauses): readonly Occurrence[] {
  if (dates.firstDay === null) return [];
  const first = toDayNumber(dates.firstDay);
  const byLastDay = dates.ends !== 'weeks' && dates.lastDay !== null;
  const lastDay = byLastDay ? toDayNumber(dates.lastDay as string) : first + MAX_DAYS;
  const most = byLastDay ? MAX_MEETINGS : dates.meetings;
  const patterns = Object.entries(dates.patterns).sort(([a, one], [b, other]) =>
    one.time < other.time ? -1 : one.time > other.time ? 1 : a < b ? -1 : 1,
  );
  if (patterns.length === 0) return [];
  const found: Occurrence[] = [];
  let held = 0;
  for (let day = first; day <= lastDay && held < most && day < first + MAX_DAYS; day += 1) {
    if (pauses.isPaused(day)) continue;
    const weekday = weekdayOfNumber(day);
    for (const [id, pattern] of patterns) {
      if (!pattern.weekdays.includes(weekday) || held === most) continue;
      const meeting = asHeld(id, toDay(day), dates);
      found.push({ meeting, time: pattern.time });
      if (meeting.status !== 'cancelled') held += 1;
    }
  }
  return found;
}

function asHeld(pattern: string, originalDay: string, dates: Dates): HeldMeeting {
  const { time, minutes, place } = dates.patterns[pattern] as Dates['patterns'][string];
  const key = meetingKey(pattern, originalDay);
  const base = { key, pattern, originalDay, day: originalDay, time, minutes, place };
  const change = Object.hasOwn(dates.changes, key) ? dates.changes[key] : undefined;
  if (change?.kind === 'cancelled') return { ...base, status: 'cancelled' };
  if (change?.kind !== 'moved') return { ...base, status: 'held' };
  return {
    ...base,
    day: change.day,
    time: change.time,
    minutes: change.minutes,
    place: change.place,
    status: 'moved',
  };
}

/** Whether a section stands with this meeting: all but those cancelled with their sections sliding on. */
function takesSection(meeting: HeldMeeting, dates: Dates): boolean {
  const change = Object.hasOwn(dates.changes, meeting.key) ? dates.changes[meeting.key] : undefined;
  return change?.kind !== 'cancelled' || change.sections === 'keep';
}

export function meetingCalendar(dates: Dates, pauses: Pauses): Calendar {
  const meetings = meetingsOf(dates, pauses).filter((meeting) => takesSection(meeting, dates));
  if (meetings.length === 0) return NO_CALENDAR;
  const days = meetings.map(({ day }) => toDayNumber(day)).sort((a, b) => a - b);
  const cut = dates.ends === 'weeks' || dates.lastDay === null ? Infinity : toDayNumber(dates.lastDay);
  const slots = meetings.map((meeting, index): Slot => {
    const day = toDayNumber(meeting.day);
    const next = days.find((other) => other > day);
    const end = next === undefined ? Math.min(endOfTeachingWeek(day, dates.weekStart), cut) : next - 1;
    const last = Math.max(day, end);
    return {
      number: index + 1,
      first: meeting.day,
      last: toDay(last),
      pauses: pauses.within(day, last).map(({ id }) => id),
      meeting,
    };
  });
  const first = days[0] as number;
  const last = days.at(-1) as number;
  // A pause between two meetings lies inside a section's days; it is a row all the same.
  const rows = rowsAround(
    slots.map((slot) => ({ ...slot, pauses: [] })),
    pauses,
    toDay(first),
    toDay(last),
  );
  return {
    slots,
    rows: rows.map((row) =>
      row.kind === 'slot' ? { kind: 'slot', slot: slots[row.slot.number - 1] as Slot } : row,
    ),
  };
}
