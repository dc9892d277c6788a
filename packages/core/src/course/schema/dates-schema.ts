/** When a course runs: its format, pace, length, pauses and meetings (docs/semantics.md, Sections in time). */
import { z } from 'zod';
import {
  daySchema,
  idSchema,
  minutesSchema,
  placeSchema,
  storableSchema,
  tableSchema,
  timeSchema,
  weekdaySchema,
  weekdaysSchema,
  zoneSchema,
} from './basics.ts';

/** The largest number of weeks a course may have: two years, so that no loop over weeks is unbounded. */
export const MAX_WEEKS = 104;
/** A meeting every weekday of two terms. */
export const MAX_MEETINGS = 200;
/** Several pauses a term, over two years, and the institution's single days. */
export const MAX_PAUSES = 60;
/** A pause of more than a year is the end of a course. */
export const MAX_PAUSE_DAYS = 370;
export const MAX_PATTERNS = 12;
export const MAX_MEETING_CHANGES = 400;

export const formatSchema = z.enum(['weeks', 'units', 'meetings', 'item']);
export type Format = z.infer<typeof formatSchema>;

/** Together: one calendar for all. Joining: each learner's own clock. None: no clock. */
export const paceSchema = z.enum(['together', 'joining', 'none']);
export type Pace = z.infer<typeof paceSchema>;

/**
 * What a paused week becomes. Spring break, 8–14 Mar, in a course of weeks from 11 Jan: *between* gives a
 * named row without a number between week 8 and week 9; *silent* leaves it out, so that week 9 begins on
 * 15 Mar without a word; *counted* makes it week 9 under its own name, and no section takes it.
 */
export const pausePolicySchema = z.enum(['between', 'silent', 'counted']);
export type PausePolicy = z.infer<typeof pausePolicySchema>;

const DAY_MS = 86_400_000;

/** Both days included. */
export const pauseSchema = z
  .strictObject({
    name: storableSchema.trim().min(1).max(80),
    first: daySchema,
    last: daySchema,
    policy: pausePolicySchema,
  })
  .refine(({ first, last }) => last >= first, { path: ['last'], message: 'a day not before the first' })
  .refine(({ first, last }) => Date.parse(last) - Date.parse(first) < MAX_PAUSE_DAYS * DAY_MS, {
    path: ['last'],
    message: `a pause of at most ${MAX_PAUSE_DAYS} days`,
  });
export type Pause = z.infer<typeof pauseSchema>;

/** Meetings that come every week, on one or more weekdays, at one time and place. */
export const patternSchema = z.strictObject({
  weekdays: weekdaysSchema,
  time: timeSchema,
  minutes: minutesSchema.min(1).max(1440),
  place: placeSchema.nullable(),
});
export type Pattern = z.infer<typeof patternSchema>;

/** A meeting that is not as its pattern has it, or that no pattern has. */
export const meetingChangeSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('cancelled'),
    /** Keep: its section stays with the cancelled day. Slide: it and all later ones move on by one. */
    sections: z.enum(['keep', 'slide']),
  }),
  z.strictObject({
    kind: z.literal('moved'),
    day: daySchema,
    time: timeSchema,
    minutes: minutesSchema.min(1).max(1440),
    place: placeSchema.nullable(),
  }),
  z.strictObject({
    kind: z.literal('added'),
    day: daySchema,
    time: timeSchema,
    minutes: minutesSchema.min(1).max(1440),
    place: placeSchema.nullable(),
  }),
]);
export type MeetingChange = z.infer<typeof meetingChangeSchema>;

/** Something that happens once: a day, apart from the days on which one may join. */
export const eventSchema = z.strictObject({
  day: daySchema,
  time: timeSchema,
  minutes: minutesSchema.min(1).max(1440),
  place: placeSchema.nullable(),
});
export type CourseEvent = z.infer<typeof eventSchema>;

/** The usual hand-in time: on this weekday of the section, or on its last day. */
export const handInSchema = z.strictObject({ time: timeSchema, weekday: weekdaySchema.nullable() });
export type HandIn = z.infer<typeof handInSchema>;

export const datesSchema = z.strictObject({
  format: formatSchema,
  pace: paceSchema.default('together'),
  firstDay: daySchema.nullable(),
  /** A first day off the teaching week: weeks run from it; or week 1 is short; or it moves to the nearest. */
  offWeek: z.enum(['falls', 'short', 'move']).default('falls'),
  /** What decides the length. `term`: `lastDay` is the last day of the institution's term. */
  ends: z.enum(['weeks', 'day', 'term']).default('weeks'),
  weeks: z.int().min(1).max(MAX_WEEKS),
  lastDay: daySchema.nullable().default(null),
  /** On the last day the course goes on until this minute is over; null: until the day is. */
  lastTime: timeSchema.nullable().default(null),
  zone: zoneSchema,
  /** The weekday on which a teaching week begins. */
  weekStart: weekdaySchema,
  teachingDays: weekdaysSchema.default([1, 2, 3, 4, 5]),
  pauses: tableSchema(pauseSchema, MAX_PAUSES),
  /** From joining: whether the pauses stop each learner's own clock. */
  pausesForJoiners: z.boolean().default(false),
  handIn: handInSchema.default({ time: '23:59', weekday: null }),
  /** Meeting by meeting: how many meetings of the patterns, cancelled ones not counted. */
  meetings: z.int().min(1).max(MAX_MEETINGS).default(15),
  patterns: tableSchema(patternSchema, MAX_PATTERNS),
  /** By `meetingKey` of pattern and original day; an added meeting by an id of its own. */
  changes: tableSchema(meetingChangeSchema, MAX_MEETING_CHANGES),
  /** Around one item: the item. */
  around: idSchema.nullable().default(null),
  event: eventSchema.nullable().default(null),
  joinFrom: daySchema.nullable().default(null),
  joinUntil: daySchema.nullable().default(null),
});
export type Dates = z.infer<typeof datesSchema>;

/** The key under which a change to one meeting of a pattern is kept. */
export function meetingKey(pattern: string, originalDay: string): string {
  return `${pattern}_${originalDay}`;
}
