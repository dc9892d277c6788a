/** A payment that counts for a period: what goes on from it, and what its payer is told. */
import { randomUUID } from 'node:crypto';
import { periodEnd, RENEWAL_DAYS } from '@itinerary/core/people';
import { PaymentRow, PersonRow } from '../../../db/entities.ts';
import type { PaymentRecord } from '../../../db/entities.ts';
import type { KeptCourse } from '../../../db/kept-courses.ts';
import type { EntityManager } from '../../../db/orm.ts';
import { post } from '../../mail/post.ts';
import { factsOf } from '../line.ts';

const DAY_MS = 86_400_000;

export const lapsesAt = (paidUntil: string): string =>
  new Date(Date.parse(paidUntil) + RENEWAL_DAYS * DAY_MS).toISOString();

/** Of somebody's payments in a course, the last that was paid for a period. */
export async function lastPeriod(
  em: EntityManager,
  courseId: string,
  personId: string,
): Promise<PaymentRecord | null> {
  const where = { courseId, personId, state: 'paid' as const, paidUntil: { $ne: null } };
  const [last] = await em.find(PaymentRow, where, { orderBy: { paidUntil: 'desc' }, limit: 1 });
  return last ?? null;
}

/** What became of asking for the period after one; the last time that it was asked for counts. */
export async function nextOf(em: EntityManager, after: string): Promise<PaymentRecord | null> {
  const [next] = await em.find(PaymentRow, { after }, { orderBy: { begunAt: 'desc', id: 'asc' }, limit: 1 });
  return next ?? null;
}

/** The period that is over and was refused another, of somebody who is in by it; null: nothing is owed. */
export async function owedBy(
  em: EntityManager,
  courseId: string,
  personId: string,
): Promise<PaymentRecord | null> {
  const last = await lastPeriod(em, courseId, personId);
  if (last === null) return null;
  const states = (await em.find(PaymentRow, { after: last.id })).map(({ state }) => state);
  // Asked for once by itself, it may still be on its way; after that, what has been begun is theirs to go on with.
  const wasRefused = states.some((state) => state !== 'begun' && state !== 'paid');
  return wasRefused && !states.includes('paid') ? last : null;
}

type Begun = Pick<PaymentRecord, 'courseId' | 'personId' | 'amount' | 'currency' | 'months' | 'after'>;

/** A payment of which the desk has heard nothing yet. */
export function beginOne(em: EntityManager, what: Begun, now: string): PaymentRecord {
  const payment = em.create(PaymentRow, {
    ...what,
    id: randomUUID(),
    state: 'begun',
    deskId: null,
    page: null,
    begunAt: now,
    settledAt: null,
    receipt: null,
    takenBy: null,
    paidUntil: null,
  });
  em.persist(payment);
  return payment;
}

/** Asks for the period after one, or goes on with what has been asked: under the course's lock. */
export async function periodAfter(
  em: EntityManager,
  before: PaymentRecord,
  now: string,
): Promise<PaymentRecord> {
  const { courseId, personId, amount, currency, months } = before;
  const begun = await em.findOne(PaymentRow, { courseId, personId, state: 'begun' });
  if (begun !== null) return begun;
  const payment = beginOne(
    em,
    { courseId, personId, amount, currency, months: months ?? null, after: before.id },
    now,
  );
  await em.flush();
  return payment;
}

/**
 * Until when a payment counts that is paid now; null: for good. Another period begins where the one before ended,
 * though it is paid some days later; whoever was out meanwhile begins anew.
 */
export async function countsUntil(
  em: EntityManager,
  payment: PaymentRecord,
  goesOn: boolean,
  zone: string,
  now: string,
): Promise<string | null> {
  if (payment.months == null) return null;
  const before = goesOn && payment.after != null ? await em.findOne(PaymentRow, { id: payment.after }) : null;
  return periodEnd(before?.paidUntil ?? now, payment.months, zone);
}

type Said = 'renews' | 'ends' | 'not_renewed' | 'lapsed';

export async function sayOfPeriod(
  em: EntityManager,
  { course, row }: Pick<KeptCourse, 'course' | 'row'>,
  { personId, amount, currency }: PaymentRecord,
  kind: Said,
  until: string,
  now: string,
): Promise<void> {
  const person = await em.findOneOrFail(PersonRow, { id: personId });
  if (person.address == null) return;
  const path = kind === 'lapsed' ? `/join/to/${course.id}` : `/courses/${course.id}/members`;
  const facts = { ...factsOf(course), amount, currency, until, zone: course.dates.zone, path };
  const letter = { kind, address: person.address, lang: person.lang, facts };
  await post(em, { ...letter, courseId: course.id, institutionId: row.institutionId }, now);
}

/** Refused, or not paid in time: until when it can still be paid. */
export async function sayNotRenewed(
  em: EntityManager,
  loaded: KeptCourse,
  payment: PaymentRecord,
  now: string,
): Promise<void> {
  const before = await em.findOne(PaymentRow, { id: payment.after ?? '' });
  if (before?.paidUntil == null) return;
  await sayOfPeriod(em, loaded, payment, 'not_renewed', lapsesAt(before.paidUntil), now);
}
