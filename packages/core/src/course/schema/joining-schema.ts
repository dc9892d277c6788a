/** The ways in that a course switches on and off. Codes, invitations and whoever waits stand outside the document. */
import { z } from 'zod';
import { idSchema, storableSchema, titleSchema } from './basics.ts';
import { momentSchema } from './moment-schema.ts';

/** Staff who add somebody need no switch. */
export const SWITCHED_WAYS = ['registry', 'link', 'invitation', 'request', 'paying'] as const;
export type SwitchedWay = (typeof SWITCHED_WAYS)[number];

export const MAX_SEATS = 100_000;
export const seatsSchema = z.int().min(1).max(MAX_SEATS);

const DOMAIN = /^[a-z0-9]([a-z0-9-]*[a-z0-9])?(\.[a-z0-9]([a-z0-9-]*[a-z0-9])?)+$/;
export const domainSchema = storableSchema.trim().toLowerCase().max(253).regex(DOMAIN);
export const MAX_DOMAINS = 20;

export const MAX_QUESTION = 300;
/** Hours in which an offered seat has to be taken. */
export const MAX_ANSWER_HOURS = 30 * 24;
export const answerHoursSchema = z.int().min(1).max(MAX_ANSWER_HOURS);

/** In the smallest unit of the currency. */
export const MAX_AMOUNT = 100_000_000;
export const amountSchema = z.int().min(0).max(MAX_AMOUNT);
/** ISO 4217. */
export const currencySchema = z.string().regex(/^[A-Z]{3}$/);
export const MAX_MONTHS = 36;
/** What somebody is to the institution. */
export const PERSON_KINDS = ['teaching', 'staff', 'learner', 'visitor'] as const;
/** Whoever leads a course is brought in by somebody who does. */
export const GIVEN_ROLES = ['learner', 'visitor', 'assistant'] as const;

export const priceSchema = z.strictObject({
  currency: currencySchema,
  amount: amountSchema,
  /** For whoever pays in time. */
  reduced: z.strictObject({ amount: amountSchema, until: momentSchema }).nullable(),
  /** For some another amount, whatever the day is. */
  byKind: z.strictObject({
    teaching: amountSchema.nullable(),
    staff: amountSchema.nullable(),
    learner: amountSchema.nullable(),
    visitor: amountSchema.nullable(),
  }),
  /** For so many months, and asked for again after them; null: once. */
  months: z.int().min(1).max(MAX_MONTHS).nullable().default(null),
});
export type Price = z.infer<typeof priceSchema>;

export const wayInSchema = z.strictObject({
  on: z.boolean(),
  /** Null: as soon as the course is live, and for as long. */
  opens: momentSchema.nullable(),
  closes: momentSchema.nullable(),
  /** Of the course's, for this way alone; null: as many as the course has. */
  seats: seatsSchema.nullable(),
  /** Of confirmed addresses, whole; null: anybody. */
  domains: z.array(domainSchema).min(1).max(MAX_DOMAINS).nullable(),
  /** Whoever finds no seat of this way may wait for one. */
  line: z.boolean().default(false),
  /** To be answered by whoever asks to join; null: nothing is asked of them. */
  question: storableSchema.trim().min(1).max(MAX_QUESTION).nullable().default(null),
  /** Of joining by paying; null: none has been set. */
  price: priceSchema.nullable().default(null),
  /** What somebody has to be to the institution; null: anything. */
  kinds: z.array(z.enum(PERSON_KINDS)).min(1).max(PERSON_KINDS.length).nullable().default(null),
  /** A course that has to be completed before; null: none. */
  after: z.strictObject({ course: idSchema, title: titleSchema }).nullable().default(null),
  /** The role of whoever comes by link or on request; an invitation has its own, and who pays is a learner. */
  gives: z.enum(GIVEN_ROLES).default('learner'),
});
export type WayIn = z.infer<typeof wayInSchema>;

/** As it is before anybody has touched it. */
export const SHUT_WAY: WayIn = {
  on: false,
  opens: null,
  closes: null,
  seats: null,
  domains: null,
  line: false,
  question: null,
  price: null,
  kinds: null,
  after: null,
  gives: 'learner',
};
