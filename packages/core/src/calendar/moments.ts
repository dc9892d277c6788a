/**
 * Planned moments, resolved (docs/semantics.md, Relative moments).
 *
 * Order: the anchor's day (or instant), the shift, the weekday, the time. Worked example: "Sunday of this
 * section, 23:59" in week 9, 15–21 Mar 2027 in Europe/Lisbon, is Sun 21 Mar 23:59, which is 23:59Z; a week
 * later the clocks have gone forward, and the same moment of week 10 is 22:59Z.
 */
import type { Anchor, PlannedMoment } from '../course/schema/moment-schema.ts';
import type { HandIn } from '../course/schema/dates-schema.ts';
import { addMonths, toDay, toDayNumber, weekdayOfNumber } from './day-number.ts';
import { minuteOf, timeOf } from './zone.ts';
import type { Clock, Zone } from './zone.ts';

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;

/** What a moment is for decides the time when none is given. */
export type Use = 'opens' | 'until' | 'due' | 'held';

export interface ResolvedAt {
  readonly kind: 'at';
  /** Local day and, when it has one, time, in the course's zone. */
  readonly day: string;
  readonly time: string | null;
  /** Milliseconds since 1970-01-01T00:00Z. Of an end given as a day: the first instant after it. */
  readonly instant: number;
  readonly clock: Clock;
  /** Its weekday is not in the section, and the nearest day inside was taken. */
  readonly nearest: boolean;
}

export type Resolved =
  | ResolvedAt
  | {
      readonly kind: 'undated';
      /** The anchor has no date; or it leads back to this moment; or what it names is not there. */
      readonly because: 'anchor' | 'circle' | 'missing';
    };

/** An end given to the minute includes that minute; one given as a day has been resolved to the day's end. */
export const endOf = ({ instant, time }: ResolvedAt): number =>
  time === null ? instant : instant + MINUTE_MS;

/** Days as day numbers, both included. */
export interface Days {
  readonly first: number;
  readonly last: number;
}

/** What moments are measured from. */
export interface Anchors {
  readonly zone: Zone;
  readonly handIn: HandIn;
  readonly course: { readonly first: number | null; readonly last: number | null };
  readonly joined: number | null;
  /** Null: it has no days. Undefined: there is no such section. */
  readonly section: (id: string) => Days | null | undefined;
  readonly due: (item: string) => Resolved;
}

const NO_ANCHOR: Resolved = { kind: 'undated', because: 'anchor' };
const MISSING: Resolved = { kind: 'undated', because: 'missing' };

/** @param own the days of the section that the node stands in, or null when it has none. */
export function resolveMoment(moment: PlannedMoment, use: Use, own: Days | null, anchors: Anchors): Resolved {
  switch (moment.kind) {
    case 'fixed':
      return atDay(toDayNumber(moment.day), moment.time, use, anchors, false);
    case 'usual':
      return own === null ? NO_ANCHOR : usualIn(own, anchors);
    case 'relative':
      return relativeTo(moment, use, own, anchors);
  }
}

/** The usual hand-in time: on its weekday, the last one in the section, or on the section's last day. */
function usualIn(own: Days, anchors: Anchors): Resolved {
  const { weekday, time } = anchors.handIn;
  if (weekday === null) return atDay(own.last, time, 'due', anchors, false);
  const day = lastOnOrBefore(own.last, weekday);
  const isInside = day >= own.first;
  // A cut week that has no such weekday is handed in for on its last day, not before it has begun.
  return atDay(isInside ? day : own.last, time, 'due', anchors, !isInside);
}

type Relative = Extract<PlannedMoment, { kind: 'relative' }>;

function relativeTo(moment: Relative, use: Use, own: Days | null, anchors: Anchors): Resolved {
  const { anchor, shift, weekday, time } = moment;
  const base = baseOf(anchor, own, anchors);
  if ('kind' in base) return base;
  const clockwise = shift === null ? null : clockMinutes(shift);
  if (clockwise !== null) {
    return atInstant(base.instant + clockwise * MINUTE_MS, weekday, time, base.fromEnd, anchors);
  }
  const day = shift === null ? base.day : shifted(base.day, shift);
  // A due moment two days after another keeps its hour, unless it says another one.
  const atTime = time ?? base.time;
  if (weekday === null) return atDay(day, atTime, use, anchors, false);
  const found = base.fromEnd ? lastOnOrBefore(day, weekday) : firstOnOrAfter(day, weekday);
  const within = shift === null && anchor.of === 'section' ? base.days : null;
  const inside = within === null ? found : Math.min(Math.max(found, within.first), within.last);
  return atDay(inside, atTime, use, anchors, inside !== found);
}

interface Base {
  readonly day: number;
  readonly instant: number;
  /** Another item's due moment has a time of its own. */
  readonly time: string | null;
  readonly fromEnd: boolean;
  /** Of the section that the anchor is in. */
  readonly days: Days | null;
}

function baseOf(anchor: Anchor, own: Days | null, anchors: Anchors): Base | Resolved {
  switch (anchor.of) {
    case 'course': {
      const day = anchor.at === 'start' ? anchors.course.first : anchors.course.last;
      return day === null ? NO_ANCHOR : baseAt(day, anchor.at === 'end', null, anchors);
    }
    case 'section': {
      const days = anchor.section === null ? own : anchors.section(anchor.section);
      if (days === undefined) return MISSING;
      if (days === null) return NO_ANCHOR;
      return baseAt(anchor.at === 'start' ? days.first : days.last, anchor.at === 'end', days, anchors);
    }
    case 'joining':
      return anchors.joined === null ? NO_ANCHOR : baseAt(anchors.joined, false, null, anchors);
    case 'due': {
      const due = anchors.due(anchor.item);
      if (due.kind === 'undated') return due;
      const day = toDayNumber(due.day);
      return { day, instant: due.instant, time: due.time, fromEnd: false, days: null };
    }
  }
}

/** A start is the day's first instant; an end the first instant after it. */
function baseAt(day: number, fromEnd: boolean, days: Days | null, { zone }: Anchors): Base {
  return { day, instant: zone.startOf(fromEnd ? day + 1 : day), time: null, fromEnd, days };
}

type Shift = NonNullable<Relative['shift']>;

/** Minutes and hours are counted on the clock of the world, so they are no matter of days. */
function clockMinutes({ by, unit }: Shift): number | null {
  if (unit === 'minutes') return by;
  return unit === 'hours' ? 60 * by : null;
}

function shifted(day: number, { by, unit }: Shift): number {
  if (unit === 'months' || unit === 'years') return addMonths(day, unit === 'years' ? 12 * by : by);
  return day + (unit === 'weeks' ? 7 * by : by);
}

function firstOnOrAfter(day: number, weekday: number): number {
  return day + ((weekday - weekdayOfNumber(day) + 7) % 7);
}

function lastOnOrBefore(day: number, weekday: number): number {
  return day - ((weekdayOfNumber(day) - weekday + 7) % 7);
}

function atDay(day: number, time: string | null, use: Use, anchors: Anchors, nearest: boolean): Resolved {
  const { zone, handIn } = anchors;
  const written = time ?? (use === 'due' ? handIn.time : null);
  if (written === null) {
    const instant = zone.startOf(use === 'until' ? day + 1 : day);
    return { kind: 'at', day: toDay(day), time: null, instant, clock: 'plain', nearest };
  }
  const { instant, clock } = zone.locate(day, minuteOf(written));
  return { kind: 'at', day: toDay(day), time: written, instant, clock, nearest };
}

/** Hours and minutes are counted on the clock of the world, not on the one on the wall. */
function atInstant(
  instant: number,
  weekday: number | null,
  time: string | null,
  fromEnd: boolean,
  anchors: Anchors,
): Resolved {
  const local = anchors.zone.localOf(instant);
  const day = Math.floor(local / DAY_MS);
  const minute = Math.floor((local - day * DAY_MS) / MINUTE_MS);
  if (weekday === null && time === null) {
    return { kind: 'at', day: toDay(day), time: timeOf(minute), instant, clock: 'plain', nearest: false };
  }
  const onDay =
    weekday === null ? day : fromEnd ? lastOnOrBefore(day, weekday) : firstOnOrAfter(day, weekday);
  return atDay(onDay, time ?? timeOf(minute), 'due', anchors, false);
}
