/** What a course's calendar is made of: slots that sections take, and named pauses between them. */
import { z } from 'zod';
import { daySchema, timeSchema } from '../course/schema/basics.ts';
import type { DeepReadonly } from '../course/schema/readonly.ts';
import type { PausePolicy } from '../course/schema/dates-schema.ts';

/** A meeting of a meeting-by-meeting course, as it is held. */
export const heldMeetingSchema = z.object({
  /** The key of its change: pattern and original day, or an added meeting's own id. */
  key: z.string(),
  /** Null for an added meeting. */
  pattern: z.string().nullable(),
  /** The day that its pattern gave it; an added meeting's own. */
  originalDay: daySchema,
  day: daySchema,
  /** HH:MM, in the course's zone. */
  time: timeSchema,
  minutes: z.int(),
  place: z.string().nullable(),
  status: z.enum(['held', 'moved', 'added', 'cancelled']),
});
export type HeldMeeting = DeepReadonly<z.infer<typeof heldMeetingSchema>>;

/** A place in the calendar that one section takes: a week, a unit's days, or a meeting and the days after it. */
export interface Slot {
  /** Counts from 1 through all that is numbered, counted pauses among them. */
  readonly number: number;
  /** ISO days, both included. */
  readonly first: string;
  readonly last: string;
  /** Ids of the pauses that take some of its days. */
  readonly pauses: readonly string[];
  readonly meeting: HeldMeeting | null;
}

export interface PauseRow {
  readonly pause: string;
  readonly name: string;
  readonly policy: PausePolicy;
  /** Counted pauses take a number. */
  readonly number: number | null;
  readonly first: string;
  readonly last: string;
}

export type CalendarRow =
  { readonly kind: 'slot'; readonly slot: Slot } | { readonly kind: 'pause'; readonly pause: PauseRow };

/** The slots of a course in the order in which sections take them, and its rows in the order of their days. */
export interface Calendar {
  readonly slots: readonly Slot[];
  readonly rows: readonly CalendarRow[];
}

export const NO_CALENDAR: Calendar = { slots: [], rows: [] };
