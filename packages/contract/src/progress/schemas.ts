/** Where learners stand in a course: each of them for themselves, and all of them for staff. */
import {
  deedSchema,
  editSchema,
  ITEM_KINDS,
  MAX_EDITS,
  partSchema,
  personExceptionSchema,
  progressViewSchema,
  storableSchema,
} from '@itinerary/core';
import type { DeepReadonly, ProgressView } from '@itinerary/core';
import { z } from 'zod';

const moment = z.iso.datetime().nullable();

export type ProgressAnswer = ProgressView;

/** How much of what counts one has done in each course that one learns in. */
export const allProgressSchema = z.object({
  courses: z.array(
    z.object({
      course: z.string(),
      share: partSchema,
      since: moment,
      behind: z.int(),
      next: z.object({ id: z.string(), title: z.string() }).nullable(),
    }),
  ),
});
export type AllProgressAnswer = DeepReadonly<z.infer<typeof allProgressSchema>>;

/**
 * Learners by items. A cell is one letter: `d` done, `s` done as staff say, `k` done by an earlier rule, `b` behind, `o`
 * not done, `-` it is not for them.
 */
export const gridSchema = z.object({
  zone: z.string(),
  /** When it was reckoned. */
  at: z.iso.datetime(),
  groups: z.array(z.object({ id: z.string(), name: z.string() })),
  sections: z.array(
    z.object({ id: z.string(), number: z.string().nullable(), title: z.string().nullable() }),
  ),
  items: z.array(
    z.object({
      id: z.string(),
      kind: z.enum(ITEM_KINDS),
      number: z.string().nullable(),
      title: z.string(),
      section: z.string(),
      /** How many of those whom it is for are done with it, and how many are behind with it. */
      done: z.int(),
      behind: z.int(),
      of: z.int(),
    }),
  ),
  people: z.array(
    z.object({
      person: z.string(),
      name: z.string(),
      groups: z.array(z.string()),
      cells: z.string(),
      done: z.int(),
      counted: z.int(),
      behind: z.int(),
      /** When they were last in the course. */
      lastHere: moment,
      since: moment,
      /** The item at which they stand: the first that is behind, else the next. */
      standsAt: z.string().nullable(),
    }),
  ),
});
export type GridAnswer = DeepReadonly<z.infer<typeof gridSchema>>;

export const MAX_REASON = 500;
export const MOST_MARKED = 500;
/** Done, or not, as staff say; what is taken back counts no more, whatever it was. */
export const markDoneSchema = z.strictObject({
  people: z.array(z.string().max(60)).min(1).max(MOST_MARKED),
  what: z.enum(['marked', 'unmarked', 'taken_back']),
  reason: storableSchema.trim().min(1).max(MAX_REASON),
});
export type MarkDone = z.infer<typeof markDoneSchema>;

/** All that is known of one learner, for staff: where they stand, and every deed. */
export const learnerSchema = z.object({
  person: z.object({ id: z.string(), name: z.string(), joinedAt: z.iso.datetime() }),
  progress: progressViewSchema,
  /** The latest first. */
  deeds: z.array(
    z.object({
      item: z.string(),
      at: z.iso.datetime(),
      deed: deedSchema,
      /** Staff who have said it, and why. */
      by: z.string().nullable(),
      reason: z.string().nullable(),
    }),
  ),
});
export type LearnerAnswer = DeepReadonly<z.infer<typeof learnerSchema>>;

export const movesRequestSchema = z.strictObject({ edits: z.array(editSchema).min(1).max(MAX_EDITS) });

const movedSchema = z.object({
  person: z.string(),
  name: z.string(),
  /** Ids of items and sections, in reading order, and of the course. */
  of: z.array(z.string()),
});
/** Who would be done with more, and who with less, if the plan were changed so; by name. */
export const movesSchema = z.object({
  gains: z.array(movedSchema),
  loses: z.array(movedSchema),
  /** How many of those who would lose something could keep some of it: what counts no more, nobody can. */
  keeping: z.int(),
});
export type MovesAnswer = DeepReadonly<z.infer<typeof movesSchema>>;

/**
 * What each learner has done on which day, as a forecast needs it. Items by their place in `items`, days by how many lie
 * between them and `first`.
 */
export const deedDaysSchema = z.object({
  today: z.iso.date(),
  first: z.iso.date(),
  items: z.array(z.string()),
  learners: z.array(
    z.object({
      person: z.string(),
      name: z.string(),
      joinedAt: z.iso.datetime(),
      groups: z.array(z.string()),
      exceptions: z.array(personExceptionSchema),
      done: z.array(z.tuple([z.int(), z.int()])),
      /** The day on which they were done with the course; null: they are not. */
      since: z.iso.date().nullable(),
    }),
  ),
});
export type DeedDaysAnswer = DeepReadonly<z.infer<typeof deedDaysSchema>>;
