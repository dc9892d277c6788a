/** Rows of whoever is on the way into a course: waiting, kept a seat for, asking, invited. The migrations own the tables. */
import type { Role } from '@itinerary/core';
import type { WayKind } from '@itinerary/core/people';
import { defineEntity } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';

/** What somebody joins a course by who has it: one at a time, and the one before stops. */
export const JoinCodeRow = defineEntity({
  name: 'JoinCodeRow',
  tableName: 'join_code',
  properties: (p) => ({
    courseId: p.string().primary(),
    /** Short enough to be read out; the address holds it too. */
    code: p.string(),
    madeAt: p.string(),
  }),
});

export const WaitingRow = defineEntity({
  name: 'WaitingRow',
  tableName: 'waiting',
  properties: (p) => ({
    courseId: p.string().primary(),
    personId: p.string().primary(),
    way: p.string().$type<WayKind>(),
    line: p.string().$type<'way' | 'course'>(),
    /** Over all lines of all courses: a clock that stands tells no order. */
    arrival: p.integer().autoincrement(),
    since: p.string(),
  }),
});

/** A seat that nobody else gets until it lapses. */
export const HeldSeatRow = defineEntity({
  name: 'HeldSeatRow',
  tableName: 'held_seat',
  properties: (p) => ({
    courseId: p.string().primary(),
    /** A person's id; of an invitation to an address without an account, `invitation ID`. */
    holder: p.string().primary(),
    kind: p.string().$type<'offer' | 'payment' | 'invitation'>().primary(),
    way: p.string().$type<WayKind>(),
    /** Milliseconds since 1970-01-01T00:00Z. */
    lapsesAt: p.float(),
  }),
});

export const JoinRequestRow = defineEntity({
  name: 'JoinRequestRow',
  tableName: 'join_request',
  properties: (p) => ({
    courseId: p.string().primary(),
    personId: p.string().primary(),
    /** As it was asked. */
    question: p.text().nullable(),
    answer: p.text().nullable(),
    askedAt: p.string(),
    state: p.string().$type<'open' | 'yes' | 'no'>().default('open'),
    /** Of a no. */
    reason: p.text().nullable(),
    decidedAt: p.string().nullable(),
    decidedBy: p.string().nullable(),
  }),
});

export const InvitationRow = defineEntity({
  name: 'InvitationRow',
  tableName: 'invitation',
  properties: (p) => ({
    courseId: p.string().primary(),
    id: p.string().primary(),
    address: p.string(),
    role: p.string().$type<Role>(),
    /** Of what its letter holds: whoever reads the table can take none. */
    keyHash: p.string(),
    lang: p.string().$type<Language>(),
    by: p.string(),
    madeAt: p.string(),
    sentAt: p.string(),
    times: p.integer(),
    /** ISO, UTC; null: never. */
    lapsesAt: p.string().nullable(),
    keepsSeat: p.boolean(),
    state: p.string().$type<'waiting' | 'taken' | 'bounced' | 'withdrawn'>(),
    /** Of one that bounced: what the other side said. */
    why: p.text().nullable(),
    takenBy: p.string().nullable(),
    takenAt: p.string().nullable(),
  }),
});

/** The languages that letters are written in. */
export type Language = 'en' | 'es' | 'fr' | 'ar';

export type WaitingRecord = InferEntity<typeof WaitingRow>;
export type HeldSeatRecord = InferEntity<typeof HeldSeatRow>;
export type JoinRequestRecord = InferEntity<typeof JoinRequestRow>;
export type InvitationRecord = InferEntity<typeof InvitationRow>;
