/** What staff see and do of the ways in: the code, who came by which, who waits, who asks, who is invited. */
import { idSchema, storableSchema } from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { WAYS } from '@itinerary/core/people';
import { z } from 'zod';
import { doorFactsSchema } from '../shape/door.ts';
import { languageSchema, mailAddressSchema } from '../shape/mail.ts';
import { roleSchema } from '../people/schemas.ts';

const waySchema = z.enum(WAYS);
const lineSchema = z.enum(['way', 'course']);

export const invitationStateSchema = z.enum(['waiting', 'taken', 'bounced', 'withdrawn', 'lapsed']);
export type InvitationState = z.infer<typeof invitationStateSchema>;

export const waysInSchema = z.object({
  /** Null: none has been made yet. */
  code: z.string().nullable(),
  madeAt: z.iso.datetime().nullable(),
  /** Learners on the course, by the way by which they came. */
  learners: z.array(z.object({ way: waySchema, count: z.int() })),
  /** Seats that are kept for somebody. */
  held: z.array(
    z.object({
      name: z.string(),
      kind: z.enum(['offer', 'payment', 'invitation']),
      way: waySchema,
      lapsesAt: z.iso.datetime(),
    }),
  ),
  /** In order of arrival. */
  waiting: z.array(
    z.object({
      person: z.string(),
      name: z.string(),
      way: waySchema,
      line: lineSchema,
      since: z.iso.datetime(),
    }),
  ),
  /** Those that nobody has answered, the longest open first; then what was answered last. */
  requests: z.array(
    z.object({
      person: z.string(),
      name: z.string(),
      address: z.string(),
      question: z.string().nullable(),
      answer: z.string().nullable(),
      askedAt: z.iso.datetime(),
      state: z.enum(['open', 'yes', 'no']),
      reason: z.string().nullable(),
    }),
  ),
  invitations: z.array(
    z.object({
      id: z.string(),
      address: z.string(),
      role: roleSchema,
      state: invitationStateSchema,
      sentAt: z.iso.datetime(),
      times: z.int(),
      lapsesAt: z.iso.datetime().nullable(),
      keepsSeat: z.boolean(),
      why: z.string().nullable(),
      /** The letter has not gone out yet: it waits for the mail service. */
      isQueued: z.boolean(),
      takenBy: z.string().nullable(),
    }),
  ),
  /** The latest first. */
  payments: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      /** In the smallest unit of the currency. */
      amount: z.int(),
      currency: z.string(),
      state: z.enum(['begun', 'paid', 'refused', 'timed_out', 'late', 'taken_back']),
      at: z.iso.datetime(),
      receipt: z.int().nullable(),
      /** For how long it counts; null: for good. */
      paidUntil: z.iso.datetime().nullable(),
      /** Whoever paid wants no other period. */
      isStopped: z.boolean(),
    }),
  ),
  door: doorFactsSchema,
});
export type WaysInAnswer = DeepReadonly<z.infer<typeof waysInSchema>>;

const peopleSchema = z.array(z.uuid()).min(1).max(1000);
export const MAX_REASON = 1000;
export const decideSchema = z.discriminatedUnion('say', [
  z.strictObject({ say: z.literal('yes'), people: peopleSchema }),
  z.strictObject({
    say: z.literal('no'),
    people: peopleSchema,
    reason: storableSchema.trim().min(1).max(MAX_REASON),
  }),
]);
export type Decide = DeepReadonly<z.infer<typeof decideSchema>>;
/** Who has not come in although they were told yes, and why: their requests stay open. */
export const decidedSchema = z.object({
  ways: waysInSchema,
  stopped: z.array(z.object({ person: z.string(), because: z.string() })),
});
export type DecidedAnswer = DeepReadonly<z.infer<typeof decidedSchema>>;
export const paymentParams = z.object({ course: idSchema, payment: idSchema });
/** As the payment desk tells it; `signature` is over all that it says. */
export const noticeSchema = z.strictObject({
  id: storableSchema.min(1).max(100),
  reference: z.uuid(),
  state: z.enum(['open', 'paid', 'refused', 'timed_out', 'taken_back']),
  amount: z.int().min(0),
  currency: storableSchema.max(3),
  signature: storableSchema.max(100),
});
export const outOfLineSchema = z.strictObject({ people: peopleSchema });

export const MAX_INVITED = 500;
export const inviteSchema = z.strictObject({
  addresses: z.array(mailAddressSchema).min(1).max(MAX_INVITED),
  role: roleSchema,
  /** Until it lapses; null: it does not. */
  days: z.int().min(1).max(365).nullable(),
  keepsSeats: z.boolean(),
  lang: languageSchema,
});
export type Invite = DeepReadonly<z.infer<typeof inviteSchema>>;
const idsSchema = z.array(z.uuid()).min(1).max(5000);
export const invitedActSchema = z.discriminatedUnion('act', [
  z.strictObject({ act: z.literal('again'), ids: idsSchema }),
  z.strictObject({ act: z.literal('withdraw'), ids: idsSchema }),
  z.strictObject({ act: z.literal('correct'), id: z.uuid(), address: mailAddressSchema }),
]);
export type InvitedAct = DeepReadonly<z.infer<typeof invitedActSchema>>;
