/** Joining by paying: a seat is kept while somebody is at the desk, and theirs once the desk says that it is paid. */
import { heldFor, priceFor, wayIn } from '@itinerary/core/people';
import { byTurn } from '../../../db/locks.ts';
import { announce } from '../../../db/announce.ts';
import { lockedCourse } from '../../../db/kept-courses.ts';
import type { KeptCourse } from '../../../db/kept-courses.ts';
import { HeldSeatRow, MemberRow, PaymentRow, PersonRow } from '../../../db/entities.ts';
import type { PaymentRecord, Person } from '../../../db/entities.ts';
import { addJob } from '../../../db/queue.ts';
import type { EntityManager } from '../../../db/orm.ts';
import type { Desk, Notice } from '../../../desk/payment-desk.ts';
import { Failure } from '../../failure.ts';
import { post } from '../../mail/post.ts';
import { EMPTY_HANDED, joiningOf, planOf } from '../join-facts.ts';
import { atInstant, factsOf, moveUp } from '../line.ts';
import { beginOne, countsUntil, owedBy, periodAfter, sayNotRenewed } from './period.ts';
import { cannot, seat, waitFor, withSeats } from '../seating.ts';

/** A seat is kept so long for whoever is at the desk. */
export const PAYS_MS = 15 * 60_000;

/** What paying is done with. */
export interface AtDesk {
  readonly desk: Desk | null;
  /** Where the desk tells what has become of it, and where people go back to. */
  readonly site: string;
}

export interface Begun {
  readonly is: 'in' | 'waiting' | 'paying';
  /** Where it is paid. */
  readonly page: string | null;
}

/**
 * Begins, or goes on with what has been begun: pressed twice it is one payment.
 *
 * @throws Failure `cannot_join`, `busy` where the desk does not answer: nothing is kept or owed then
 */
export async function beginPayment(
  em: EntityManager,
  { desk, site }: AtDesk,
  courseId: string,
  person: Person,
  now: string,
): Promise<Begun> {
  const begun = await withSeats(em.fork(), courseId, (inner) => keep(inner, courseId, person, now));
  if (!('payment' in begun)) return begun;
  const { id, amount, currency, page } = begun.payment;
  if (page != null) return { is: 'paying', page };
  try {
    if (desk === null) throw new Error('there is no payment desk');
    const opened = await desk.open({
      reference: id,
      amount,
      currency,
      what: begun.title,
      notify: `${site}/api/payments/notice`,
      back: `${site}/join/to/${courseId}`,
      lasts: PAYS_MS / 1000,
    });
    const changes = { deskId: opened.id, page: opened.page };
    await em.fork().nativeUpdate(PaymentRow, { id }, changes);
    return { is: 'paying', page: opened.page };
  } catch {
    // Whether the desk has heard it is not known: it stands, and lapses; asked again it is the same one.
    throw new Failure('busy', 'The payment desk does not answer; nothing has been paid. Try again', [], 10);
  }
}

async function keep(
  em: EntityManager,
  courseId: string,
  person: Person,
  now: string,
): Promise<Begun | { readonly payment: PaymentRecord; readonly title: string }> {
  const loaded = await lockedCourse(em, courseId);
  if (loaded === null) throw cannot('absent');
  await moveUp(em, loaded, now);
  const { course } = loaded;
  const plan = planOf(course);
  const at = Date.parse(now);
  const joining = await joiningOf(em, plan, person, EMPTY_HANDED, at);
  const answer = joining.answerBy('paying');
  if (answer.can === 'no') {
    if (answer.because !== 'in') throw cannot(answer.because);
    const owed = await owedBy(em, courseId, person.id);
    if (owed === null) return { is: 'in', page: null };
    const payment = await periodAfter(em, owed, now);
    await addJob(em, 'ask_desk', { payment: payment.id }, { key: `desk:${payment.id}`, afterMs: PAYS_MS });
    return { payment, title: course.title };
  }
  if (answer.can === 'wait') {
    await waitFor(em, courseId, person, 'paying', answer, now);
    await announce(em, { course: courseId, seq: loaded.row.seq });
    return { is: 'waiting', page: null };
  }
  const { price } = wayIn(plan, 'paying');
  if (price === null) throw cannot('off');
  const { amount, currency, months } = priceFor(plan, price, person.kind, at);
  // What costs nothing is not paid for, and not for a period either.
  if (amount === 0) {
    await seat(em, plan.course, person, 'paying', EMPTY_HANDED, now);
    await announce(em, { course: courseId, seq: loaded.row.seq });
    return { is: 'in', page: null };
  }
  const before = await em.findOne(PaymentRow, { courseId, personId: person.id, state: 'begun' });
  const isSame =
    before !== null &&
    before.amount === amount &&
    before.currency === currency &&
    (before.months ?? null) === months;
  const isInTime = before !== null && at < Date.parse(before.begunAt) + PAYS_MS;
  if (before !== null && isSame && isInTime) return { payment: before, title: course.title };
  // What was begun for another price, or too long ago, is nobody's to pay any more; what comes of it is looked at then.
  if (before !== null) {
    em.assign(before, { state: 'timed_out', settledAt: now });
    await em.flush();
  }
  const payment = beginOne(em, { courseId, personId: person.id, amount, currency, months, after: null }, now);
  await em.nativeDelete(HeldSeatRow, { courseId, holder: person.id, kind: 'payment' });
  em.persist(
    em.create(HeldSeatRow, {
      courseId,
      holder: person.id,
      kind: 'payment',
      way: 'paying',
      lapsesAt: at + PAYS_MS,
    }),
  );
  await em.flush();
  await addJob(em, 'ask_desk', { payment: payment.id }, { key: `desk:${payment.id}`, afterMs: PAYS_MS });
  await announce(em, { course: courseId, seq: loaded.row.seq });
  return { payment, title: course.title };
}

/** The desk has said what became of it; said twice, it is once. */
export async function settle(em: EntityManager, notice: Notice, now: string): Promise<void> {
  const found = await em.findOne(PaymentRow, { id: notice.reference });
  // Of what was never asked for, or for another amount, there is nothing to settle.
  if (found === null || found.amount !== notice.amount || found.currency !== notice.currency) return;
  await byTurn(em.fork(), found.courseId, async (inner) => {
    const loaded = await lockedCourse(inner, found.courseId);
    if (loaded === null) return;
    const payment = await inner.findOneOrFail(PaymentRow, { id: found.id });
    if (payment.deskId == null && notice.id !== '') payment.deskId = notice.id;
    if ((payment.deskId ?? '') !== notice.id) return;
    await atInstant(inner, Date.parse(now));
    if (notice.state === 'paid') await paid(inner, loaded, payment, now);
    else if (notice.state === 'taken_back') await takenBack(inner, loaded, payment, now);
    else if (payment.state === 'begun' && notice.state !== 'open') {
      inner.assign(payment, { state: notice.state, settledAt: now });
      await inner.flush();
      // Whoever has been at the desk themselves knows it.
      if (payment.after != null && payment.page == null) await sayNotRenewed(inner, loaded, payment, now);
      await letGo(inner, payment);
      await moveUp(inner, loaded, now);
    }
    await announce(inner, { course: payment.courseId, seq: loaded.row.seq });
  });
}

const letGo = (em: EntityManager, { courseId, personId }: PaymentRecord): Promise<number> =>
  em.nativeDelete(HeldSeatRow, { courseId, holder: personId, kind: 'payment' });

/** Paid late, it still counts where there is a seat; else the money goes back. */
async function paid(
  em: EntityManager,
  loaded: KeptCourse,
  payment: PaymentRecord,
  now: string,
): Promise<void> {
  if (payment.state === 'paid' || payment.state === 'taken_back' || payment.state === 'late') return;
  const { course, row } = loaded;
  const person = await em.findOneOrFail(PersonRow, { id: payment.personId });
  const plan = planOf(course);
  const joining = await joiningOf(em, plan, person, EMPTY_HANDED, Date.parse(now));
  const answer = joining.answerBy('paying');
  // Whoever pays for another period is in already.
  const isIn = payment.after != null && answer.can === 'no' && answer.because === 'in';
  const isOut =
    !isIn && answer.can === 'no' && ['archived', 'draft', 'in', 'absent'].includes(answer.because);
  const isKept = heldFor(joining.course, person.id, Date.parse(now)).length > 0;
  // What was begun in time is good though the window, the way or the price has changed since.
  if (isOut || !(isIn || isKept || answer.can === 'yes')) {
    em.assign(payment, { state: 'late', settledAt: now });
    await em.flush();
    await letGo(em, payment);
    await addJob(em, 'pay_back', { payment: payment.id }, { key: `back:${payment.id}` });
    return;
  }
  const receipt = await nextReceipt(em, row.institutionId);
  const paidUntil = await countsUntil(em, payment, isIn, course.dates.zone, now);
  em.assign(payment, { state: 'paid', settledAt: now, receipt, paidUntil });
  await em.flush();
  if (!isIn) await seat(em, course, person, 'paying', EMPTY_HANDED, now);
  if (person.address == null) return;
  const facts = {
    ...factsOf(course),
    amount: payment.amount,
    currency: payment.currency,
    receipt,
    on: now,
    path: `/courses/${course.id}`,
    ...(paidUntil === null ? {} : { until: paidUntil, zone: course.dates.zone }),
  };
  const letter = { kind: 'receipt' as const, address: person.address, lang: person.lang, facts };
  await post(em, { ...letter, courseId: course.id, institutionId: row.institutionId }, now);
}

async function nextReceipt(em: EntityManager, institutionId: string): Promise<number> {
  const [row] = await em.execute<{ last: number }[]>(
    `insert into receipt_count (institution_id, last) values (?, 1)
     on conflict (institution_id) do update set last = receipt_count.last + 1 returning last`,
    [institutionId],
  );
  return row?.last ?? 0;
}

/** Whoever has their money back has left; what they have done is kept. */
async function takenBack(
  em: EntityManager,
  { course, row }: KeptCourse,
  payment: PaymentRecord,
  now: string,
): Promise<void> {
  if (payment.state !== 'paid') return;
  em.assign(payment, { state: 'taken_back', settledAt: now });
  const where = { courseId: course.id, personId: payment.personId, way: 'paying' as const, leftAt: null };
  const member = await em.findOne(MemberRow, where);
  if (member !== null) em.assign(member, { leftAt: now, leftHow: 'left' });
  await em.flush();
  const person = await em.findOneOrFail(PersonRow, { id: payment.personId });
  if (person.address == null) return;
  const { amount, currency } = payment;
  const facts = { ...factsOf(course), amount, currency, path: `/join/to/${course.id}` };
  const letter = { kind: 'paid_back' as const, address: person.address, lang: person.lang, facts };
  await post(em, { ...letter, courseId: course.id, institutionId: row.institutionId }, now);
}

/** No notice has come in time: the desk is asked itself. */
export async function askDesk(em: EntityManager, desk: Desk, id: string, now: string): Promise<void> {
  const payment = await em.findOne(PaymentRow, { id });
  if (payment?.state !== 'begun') return;
  const { deskId, amount, currency } = payment;
  // Another period is asked for until the desk has heard it: nobody is put out for its silence.
  if (deskId == null && payment.after != null && payment.page == null) return;
  const state = deskId == null ? 'timed_out' : await desk.stateOf(deskId);
  const said = state === 'open' ? 'timed_out' : state;
  await settle(em, { id: deskId ?? '', reference: id, state: said, amount, currency }, now);
}

/** @throws Failure `not_found`, `busy` */
export async function giveBack(
  em: EntityManager,
  desk: Desk | null,
  courseId: string,
  id: string,
  by: Person,
  now: string,
): Promise<void> {
  const payment = await em.findOne(PaymentRow, { id, courseId });
  if (payment?.deskId == null || !['paid', 'taken_back'].includes(payment.state)) {
    throw new Failure('not_found', 'There is no payment to give back');
  }
  if (payment.state === 'taken_back') return;
  try {
    if (desk === null) throw new Error('there is no payment desk');
    await desk.payBack(payment.deskId);
  } catch {
    throw new Failure('busy', 'The payment desk does not answer; try again', [], 10);
  }
  const { deskId, amount, currency } = payment;
  await settle(em, { id: deskId, reference: id, state: 'taken_back', amount, currency }, now);
  await em.fork().nativeUpdate(PaymentRow, { id }, { takenBy: by.id });
}
