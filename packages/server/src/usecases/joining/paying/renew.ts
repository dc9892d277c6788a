/** Periods that are over: told of before, asked for when they are due, and ended where nothing more is paid. */
import type { RenewalAnswer } from '@itinerary/contract';
import { renewalAct, renewsAt, RENEWAL_DAYS } from '@itinerary/core/people';
import type { Course } from '@itinerary/core';
import { announce } from '../../../db/announce.ts';
import { MemberRow, PaymentRow } from '../../../db/entities.ts';
import type { Person } from '../../../db/entities.ts';
import { keptCourse, lockedCourse } from '../../../db/kept-courses.ts';
import type { KeptCourse } from '../../../db/kept-courses.ts';
import { byTurn, underCourse } from '../../../db/locks.ts';
import { addJob } from '../../../db/queue.ts';
import type { EntityManager } from '../../../db/orm.ts';
import type { Desk } from '../../../desk/payment-desk.ts';
import { Failure } from '../../failure.ts';
import { grouped } from '../../members/lists/grouped.ts';
import { planOf } from '../join-facts.ts';
import { atInstant, moveUp } from '../line.ts';
import { PAYS_MS, settle } from './pay.ts';
import { lapsesAt, lastPeriod, nextOf, periodAfter, sayOfPeriod } from './period.ts';

const DAY_MS = 86_400_000;
/** Every minute: each under the lock of its course, and a course that fails stops no other. */
export async function renewWhatIsDue(em: EntityManager, now: string): Promise<void> {
  const soon = new Date(Date.parse(now) + RENEWAL_DAYS * DAY_MS).toISOString();
  const due = await em.execute<{ id: string; course_id: string; paid_until: string }[]>(
    `select p.id, p.course_id, p.paid_until from payment p
       join member m on m.course_id = p.course_id and m.person_id = p.person_id and m.left_at is null and m.way = 'paying'
     where p.state = 'paid' and p.paid_until is not null and p.paid_until <= ?
       and (p.paid_until <= ? or not p.is_told)
       and not exists (select 1 from payment next where next.after = p.id and next.state in ('paid', 'begun'))
       and not exists (select 1 from payment later where later.course_id = p.course_id and later.state = 'paid'
                         and later.person_id = p.person_id and later.paid_until > p.paid_until)
     order by p.course_id, p.paid_until, p.id`,
    [soon, now],
  );
  const failed: unknown[] = [];
  const byCourse = grouped(
    due,
    (one) => one.course_id,
    (one) => one,
  );
  for (const [courseId, ofCourse] of byCourse) {
    try {
      await renewIn(em.fork(), courseId, ofCourse, now);
    } catch (error) {
      failed.push(error);
    }
  }
  if (failed.length > 0) throw failed[0];
}

/** Where nothing renews, nobody waits for a lock. */
async function renewIn(
  em: EntityManager,
  courseId: string,
  due: readonly { readonly id: string; readonly paid_until: string }[],
  now: string,
): Promise<void> {
  const kept = await keptCourse(em, courseId);
  if (kept === null) return;
  const plan = planOf(kept.course);
  if (!due.some((one) => renewsAt(plan, Date.parse(one.paid_until)))) return;
  await byTurn(em, courseId, async (inner) => {
    const loaded = await lockedCourse(inner, courseId);
    if (loaded === null) return;
    await atInstant(inner, Date.parse(now));
    for (const { id } of due) await renew(inner, loaded, id, now);
  });
}

async function renew(em: EntityManager, loaded: KeptCourse, id: string, now: string): Promise<void> {
  const courseId = loaded.course.id;
  const payment = await em.findOneOrFail(PaymentRow, { id });
  const { personId, paidUntil, state, isStopped, isTold } = payment;
  const member = await em.findOne(MemberRow, { courseId, personId, way: 'paying', leftAt: null });
  if (member === null || paidUntil == null || state !== 'paid') return;
  if ((await lastPeriod(em, courseId, personId))?.id !== id) return;
  const next = await nextOf(em, id);
  const until = Date.parse(paidUntil);
  const act = renewalAct(
    {
      until,
      isStopped,
      isTold,
      next: next === null ? null : ['begun', 'paid'].includes(next.state) ? 'under_way' : 'refused',
    },
    renewsAt(planOf(loaded.course), until),
    Date.parse(now),
  );
  if (act === 'tell') {
    payment.isTold = true;
    await em.flush();
    await sayOfPeriod(em, loaded, payment, isStopped ? 'ends' : 'renews', paidUntil, now);
  } else if (act === 'charge') {
    const asked = await periodAfter(em, payment, now);
    await addJob(em, 'charge_again', { payment: asked.id }, { key: `again:${asked.id}` });
  } else if (act === 'end') {
    em.assign(member, { leftAt: now, leftHow: 'lapsed' });
    await em.flush();
    await sayOfPeriod(em, loaded, payment, 'lapsed', paidUntil, now);
    await moveUp(em, loaded, now);
    await announce(em, { course: courseId, seq: loaded.row.seq });
  }
}

/** Asks the desk for another period; it is tried again until the desk has heard it, and is one payment there. */
export async function chargeAgain(
  em: EntityManager,
  { desk, site }: { readonly desk: Desk; readonly site: string },
  id: string,
  now: string,
): Promise<void> {
  const payment = await em.findOne(PaymentRow, { id, state: 'begun' });
  const before = await em.findOne(PaymentRow, { id: payment?.after ?? '' });
  if (payment === null || before?.deskId == null) return;
  const { courseId, amount, currency } = payment;
  const course = await em.fork().transactional((inner) => lockedCourse(inner, courseId));
  const said = await desk.again(before.deskId, {
    reference: id,
    amount,
    currency,
    what: course?.course.title ?? '',
    notify: `${site}/api/payments/notice`,
    back: `${site}/courses/${courseId}/members`,
    lasts: PAYS_MS / 1000,
  });
  await em.fork().nativeUpdate(PaymentRow, { id, deskId: null }, { deskId: said.id });
  await settle(em.fork(), { id: said.id, reference: id, state: said.state, amount, currency }, now);
  if (said.state === 'open') {
    await addJob(em.fork(), 'ask_desk', { payment: id }, { key: `desk:${id}`, afterMs: PAYS_MS });
  }
}

/** What becomes of one's own payment; of whoever is in by another way, nothing renews. */
export async function renewalOf(
  em: EntityManager,
  course: Course,
  person: Person | null,
): Promise<RenewalAnswer> {
  const courseId = course.id;
  if (person === null) return { renewal: null };
  const personId = person.id;
  const member = await em.findOne(MemberRow, { courseId, personId, way: 'paying', leftAt: null });
  const last = member === null ? null : await lastPeriod(em, courseId, personId);
  if (last?.paidUntil == null || last.months == null) return { renewal: null };
  if (!renewsAt(planOf(course), Date.parse(last.paidUntil))) return { renewal: null };
  const next = await nextOf(em, last.id);
  const { amount, currency, months, isStopped, paidUntil } = last;
  return {
    renewal: {
      until: paidUntil,
      amount,
      currency,
      months,
      isStopped,
      isOwed: next !== null && next.state !== 'paid',
      lapses: lapsesAt(paidUntil),
      zone: course.dates.zone,
    },
  };
}

/** @throws Failure `not_found` where nothing renews */
export async function stopRenewal(
  em: EntityManager,
  course: Course,
  person: Person | null,
  stops: boolean,
): Promise<RenewalAnswer> {
  await underCourse(em, course.id, async (inner) => {
    const { renewal } = await renewalOf(inner, course, person);
    const last = person === null ? null : await lastPeriod(inner, course.id, person.id);
    if (renewal === null || last === null) throw new Failure('not_found', 'Nothing of yours renews here');
    last.isStopped = stops;
    // That it ends is what they were told last; that it goes on after all is told anew.
    if (!stops) last.isTold = false;
  });
  return renewalOf(em.fork(), course, person);
}
