/** Joining a course: what stands in the way, and what somebody wants to know before. */
import { storableSchema } from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';

/** What `canJoin` says (core, people/joining). Instants are milliseconds since 1970-01-01T00:00Z. */
export const joinAnswerSchema = z.discriminatedUnion('can', [
  z.object({
    can: z.literal('yes'),
    steps: z.array(z.enum(['question', 'payment'])),
    until: z.number().nullable(),
  }),
  z.object({
    can: z.literal('wait'),
    line: z.enum(['way', 'course']),
    place: z.int(),
    isIn: z.boolean(),
  }),
  z.object({
    can: z.literal('no'),
    because: z.enum(['absent', 'archived', 'draft', 'in', 'off', 'not_for', 'not_yet', 'over', 'full']),
    missing: z.array(z.enum(['kind', 'domain', 'completed', 'link', 'invitation', 'staff'])),
    until: z.number().nullable(),
  }),
]);
export type JoinAnswerSent = DeepReadonly<z.infer<typeof joinAnswerSchema>>;

/** What whoever has the code is told of the course before they join: no more than its public page would say. */
export const joinPageSchema = z.object({
  course: z.object({
    id: z.string(),
    title: z.string(),
    code: z.string(),
    zone: z.string(),
    firstDay: z.string().nullable(),
    lastDay: z.string().nullable(),
    descriptionHtml: z.string().nullable(),
    outcomes: z.array(z.string()),
    madeFor: z.string().nullable(),
    bringAlong: z.string().nullable(),
    hoursAWeek: z.number().nullable(),
    staff: z.array(z.string()),
  }),
  /** Null: nobody has said how many there are. */
  seatsLeft: z.int().nullable(),
  answer: joinAnswerSchema,
});
export type JoinPageAnswer = DeepReadonly<z.infer<typeof joinPageSchema>>;

export const joinCodeParams = z.object({ code: storableSchema.min(1).max(60) });
export const joinedSchema = z.object({ course: z.string() });

/** What staff see of the ways in: the code in force, and who came by it. */
export const waysInSchema = z.object({
  /** Null: none has been made yet. */
  code: z.string().nullable(),
  madeAt: z.iso.datetime().nullable(),
  learners: z.int(),
  /** Of them, by the code. */
  byLink: z.int(),
});
export type WaysInAnswer = DeepReadonly<z.infer<typeof waysInSchema>>;
