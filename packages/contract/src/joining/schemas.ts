/** Joining a course: what stands in the way, and what somebody wants to know before. */
import { storableSchema } from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';
import { roleSchema } from '../people/schemas.ts';

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

/** Ways by which people come themselves. */
export const openWaySchema = z.enum(['link', 'invitation', 'request', 'paying']);
export type OpenWay = z.infer<typeof openWaySchema>;

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
  /** By which somebody may come, as far as they have what it takes; the first that says yes goes first. */
  ways: z.array(
    z.object({
      way: openWaySchema,
      answer: joinAnswerSchema,
      /** To be answered by whoever asks to join. */
      question: z.string().nullable(),
      /** The title of a course that has to be completed before. */
      after: z.string().nullable(),
      /** What it costs them, in the smallest unit; null: nothing is asked. `until` (ms): it is more from then on. */
      price: z
        .object({
          amount: z.int(),
          currency: z.string(),
          until: z.number().nullable(),
          /** For so many months, and again after them; null: once. */
          months: z.int().nullable(),
        })
        .nullable(),
      /** A seat is kept for them; `answer.until` says how long. */
      isOffered: z.boolean(),
      /** They have begun to pay, and a seat is kept meanwhile. */
      isPaying: z.boolean(),
    }),
  ),
  /** What they have asked before, and what became of it. */
  request: z
    .object({ state: z.enum(['open', 'yes', 'no']), askedAt: z.string(), reason: z.string().nullable() })
    .nullable(),
  /** Of an invitation, for whoever has its letter. */
  invited: z
    .object({
      address: z.string(),
      role: roleSchema,
      hasAccount: z.boolean(),
      lapsesAt: z.string().nullable(),
    })
    .nullable(),
});
export type JoinPageAnswer = DeepReadonly<z.infer<typeof joinPageSchema>>;

/** A course's code, or what the letter of an invitation holds. */
export const joinKeyParams = z.object({ key: storableSchema.min(1).max(60) });
export const MAX_ANSWER = 2000;
export const joinBySchema = z.strictObject({
  way: openWaySchema,
  /** To the question of whoever asks to join. */
  answer: storableSchema.trim().min(1).max(MAX_ANSWER).nullable().default(null),
});
export type JoinBy = DeepReadonly<z.infer<typeof joinBySchema>>;
/** What has come of it: in the course, in a line, asked of its staff, or to be paid at `page`. */
export const joinedSchema = z.object({
  course: z.string(),
  is: z.enum(['in', 'waiting', 'asked', 'paying']),
  page: z.string().nullable(),
});
export type JoinedAnswer = DeepReadonly<z.infer<typeof joinedSchema>>;

/** What somebody has paid for a period, and what becomes of it; null: nothing of theirs renews. */
export const renewalSchema = z.object({
  renewal: z
    .object({
      until: z.iso.datetime(),
      /** In the smallest unit of the currency: what is taken for the next period. */
      amount: z.int(),
      currency: z.string(),
      months: z.int(),
      isStopped: z.boolean(),
      /** The next period was refused: until `lapses` it can still be paid. */
      isOwed: z.boolean(),
      lapses: z.iso.datetime(),
      zone: z.string(),
    })
    .nullable(),
});
export type RenewalAnswer = DeepReadonly<z.infer<typeof renewalSchema>>;
export const stopRenewalSchema = z.strictObject({ stops: z.boolean() });
