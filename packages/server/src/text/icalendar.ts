/** Days from an iCalendar file (RFC 5545): its events, recurring ones spelled out. Times become days. */
import { isRealDay } from '@itinerary/core';
import ICAL from 'ical.js';

export interface CalendarDay {
  /** The event's UID: the same event, however often it is read. */
  readonly uid: string;
  readonly name: string;
  /** ISO days, both included. */
  readonly first: string;
  readonly last: string;
}

/** What is wrong with a calendar: where, what stands there, what was expected. */
export interface CalendarMistake {
  readonly path: string;
  readonly value: string;
  readonly expected: string;
}

export type ReadCalendar =
  | { readonly ok: true; readonly days: readonly CalendarDay[] }
  | { readonly ok: false; readonly mistake: CalendarMistake };

/** A holiday every week for ten years. */
const MAX_OCCURRENCES = 520;
const MAX_EVENTS = 2000;

/** @param dayIn says on which day, in the institution's zone, a moment given in UTC or another zone falls. */
export function readCalendar(text: string, dayIn: (instant: string) => string): ReadCalendar {
  let root: ICAL.Component;
  try {
    root = new ICAL.Component(ICAL.parse(text) as unknown[]);
  } catch (error) {
    return wrong('calendar', text.slice(0, 40), `an iCalendar file (${(error as Error).message})`);
  }
  if (root.name !== 'vcalendar')
    return wrong('calendar', root.name, 'a file that begins with BEGIN:VCALENDAR');
  const events = root.getAllSubcomponents('vevent');
  if (events.length === 0) return wrong('calendar', '', 'at least one VEVENT');
  if (events.length > MAX_EVENTS)
    return wrong('calendar', `${events.length} events`, `at most ${MAX_EVENTS}`);
  const days: CalendarDay[] = [];
  for (const [at, component] of events.entries()) {
    const found = readEvent(component, at, dayIn);
    if (!Array.isArray(found)) return { ok: false, mistake: found as CalendarMistake };
    days.push(...(found as CalendarDay[]));
  }
  return { ok: true, days };
}

function wrong(path: string, value: string, expected: string): ReadCalendar {
  return { ok: false, mistake: { path, value, expected } };
}

function readEvent(
  component: ICAL.Component,
  at: number,
  dayIn: (instant: string) => string,
): readonly CalendarDay[] | CalendarMistake {
  const place = `calendar.VEVENT[${at}]`;
  const event = new ICAL.Event(component);
  const name = String(component.getFirstPropertyValue('summary') ?? '')
    .trim()
    .slice(0, 80);
  const start = component.getFirstPropertyValue('dtstart');
  if (name === '') return { path: `${place}.SUMMARY`, value: '', expected: 'the name of the holiday' };
  if (!(start instanceof ICAL.Time)) return { path: `${place}.DTSTART`, value: '', expected: 'a day' };
  const rule = component.getFirstPropertyValue('rrule');
  if (rule instanceof ICAL.Recur && rule.count === null && rule.until === null) {
    return {
      path: `${place}.RRULE`,
      value: `${name}: ${rule.toString()}`,
      expected: 'a recurrence that ends: with COUNT or UNTIL',
    };
  }
  const uid = event.uid === '' || event.uid === null ? `${name} ${start.toString()}` : event.uid;
  const length = lengthOf(event, start);
  const starts = startsOf(event, start);
  const days = starts.map((one): CalendarDay => {
    const first = dayOf(one, dayIn);
    return { uid: `${uid} ${first}`, name, first, last: lastDay(one, length, dayIn) };
  });
  const unreal = days.find(({ first, last }) => !isRealDay(first) || !isRealDay(last) || last < first);
  if (unreal !== undefined) {
    return {
      path: `${place}.DTSTART`,
      value: `${unreal.first}–${unreal.last}`,
      expected: 'days that exist, in order',
    };
  }
  return days;
}

function startsOf(event: ICAL.Event, start: ICAL.Time): readonly ICAL.Time[] {
  if (!event.isRecurring()) return [start];
  const found: ICAL.Time[] = [];
  const iterator = event.iterator();
  for (let next = iterator.next(); next && found.length < MAX_OCCURRENCES; next = iterator.next()) {
    found.push(next.clone());
  }
  return found;
}

/** From its start to its end, in seconds; DTEND is exclusive, and a day without one lasts a day. */
function lengthOf(event: ICAL.Event, start: ICAL.Time): number {
  const seconds = event.endDate.subtractDate(start).toSeconds();
  return seconds > 0 ? seconds : start.isDate ? 86_400 : 0;
}

function dayOf(time: ICAL.Time, dayIn: (instant: string) => string): string {
  // A day, or a time without a zone, means that day wherever one is.
  if (time.isDate || time.zone === ICAL.Timezone.localTimezone) return time.toString().slice(0, 10);
  return dayIn(time.toJSDate().toISOString());
}

function lastDay(start: ICAL.Time, seconds: number, dayIn: (instant: string) => string): string {
  const end = start.clone();
  end.addDuration(ICAL.Duration.fromSeconds(Math.max(0, start.isDate ? seconds - 86_400 : seconds - 1)));
  return dayOf(end, dayIn);
}
