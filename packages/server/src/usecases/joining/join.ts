/** Joining, asking to join, waiting, and leaving. Who may is core's to say; seats stand on the database besides. */
import type { JoinBy, JoinedAnswer, OpenWay } from '@itinerary/contract';
import { heldFor } from '@itinerary/core/people';
import type { JoinAnswer } from '@itinerary/core/people';
import { byTurn } from '../../db/locks.ts';
import { announce } from '../../db/announce.ts';
import { lockedCourse } from '../../db/kept-courses.ts';
import type { KeptCourse } from '../../db/kept-courses.ts';
import { HeldSeatRow, JoinRequestRow, MemberRow, PaymentRow, WaitingRow } from '../../db/entities.ts';
import type { InvitationRecord, Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';
import { nothingHere } from '../nothing-here.ts';
import { heldBy, opensNothing } from './join-code.ts';
import { EMPTY_HANDED, joiningOf, planOf } from './join-facts.ts';
import type { InHand } from './join-facts.ts';
import { moveUp } from './line.ts';
import { askToJoin } from './requests.ts';
import { cannot, seat, waitFor, withSeats } from './seating.ts';

type Come = JoinedAnswer['is'];

/** Whoever is in the course already is in it: pressed twice is pressed once. */
export async function joinByKey(
  em: EntityManager,
  key: string,
  courseId: string,
  person: Person,
  now: string,
): Promise<JoinedAnswer> {
  const is = await withSeats(em, courseId, async (inner) => {
    const loaded = await openCourse(inner, courseId, person);
    // Made anew, taken or withdrawn since it was looked up, it is nobody's.
    const held = await heldBy(inner, key);
    if (held?.course !== courseId) throw opensNothing();
    await moveUp(inner, loaded, now);
    return come(inner, loaded, person, held.hand.invitation === null ? 'link' : 'invitation', held.hand, now);
  });
  return { course: courseId, is, page: null };
}

/** By what they are asked, or offered, as somebody who knows of the course. Paying is another matter (paying/pay.ts). */
export async function joinKnown(
  em: EntityManager,
  courseId: string,
  person: Person,
  { way, answer }: JoinBy & { readonly way: Exclude<OpenWay, 'paying'> },
  now: string,
): Promise<JoinedAnswer> {
  const is = await withSeats(em, courseId, async (inner) => {
    const loaded = await openCourse(inner, courseId, person);
    await moveUp(inner, loaded, now);
    const at = Date.parse(now);
    const joining = await joiningOf(inner, planOf(loaded.course), person, EMPTY_HANDED, at);
    const said = joining.answerBy(way);
    const isOffered = heldFor(joining.course, person.id, at).some((one) => one.way === way);
    if (way === 'request' && !isOffered) return ask(inner, loaded, person, said, answer, now);
    return come(inner, loaded, person, way, EMPTY_HANDED, now);
  });
  return { course: courseId, is, page: null };
}

async function openCourse(em: EntityManager, courseId: string, person: Person): Promise<KeptCourse> {
  const loaded = await lockedCourse(em, courseId);
  if (loaded === null || loaded.row.institutionId !== person.institutionId) throw nothingHere();
  return loaded;
}

/** In, or into the line: as core says after those who wait have been served. */
async function come(
  em: EntityManager,
  { course, row }: KeptCourse,
  person: Person,
  way: OpenWay,
  hand: InHand,
  now: string,
): Promise<Come> {
  const joining = await joiningOf(em, planOf(course), person, hand, Date.parse(now));
  const answer = joining.answerBy(way);
  if (answer.can === 'no' && answer.because !== 'in') throw cannot(answer.because);
  if (answer.can === 'wait') {
    await waitFor(em, course.id, person, way, answer, now);
  } else {
    if (answer.can === 'yes') await seat(em, course, person, way, hand, now);
    if (hand.invitation !== null) await taken(em, hand.invitation, person, now);
  }
  await announce(em, { course: course.id, seq: row.seq });
  return answer.can === 'wait' ? 'waiting' : 'in';
}

async function taken(
  em: EntityManager,
  invitation: InvitationRecord,
  person: Person,
  now: string,
): Promise<void> {
  em.assign(invitation, { state: 'taken', takenBy: person.id, takenAt: now });
  await em.flush();
}

async function ask(
  em: EntityManager,
  loaded: KeptCourse,
  person: Person,
  said: JoinAnswer,
  answer: string | null,
  now: string,
): Promise<Come> {
  if (said.can === 'no' && said.because === 'in') return 'in';
  if (said.can === 'no') throw cannot(said.because);
  if (said.can === 'wait' && said.isIn) return 'waiting';
  await askToJoin(em, loaded, person, answer, now);
  return 'asked';
}

/** Out of the line, without the seat that was offered, and what was asked and not answered is taken back. */
export async function noLonger(
  em: EntityManager,
  courseId: string,
  person: Person,
  now: string,
): Promise<void> {
  await byTurn(em, courseId, async (inner) => {
    const loaded = await lockedCourse(inner, courseId);
    const gone =
      loaded === null
        ? 0
        : (await inner.nativeDelete(WaitingRow, { courseId, personId: person.id })) +
          (await inner.nativeDelete(HeldSeatRow, {
            courseId,
            holder: person.id,
            kind: { $in: ['offer', 'payment'] },
          })) +
          (await inner.nativeDelete(JoinRequestRow, { courseId, personId: person.id, state: 'open' }));
    if (loaded === null) throw nothingHere();
    // Paid all the same, it is looked at then: there may be a seat still, else the money goes back.
    const begun = { courseId, personId: person.id, state: 'begun' as const };
    await inner.nativeUpdate(PaymentRow, begun, { state: 'timed_out', settledAt: now });
    if (gone === 0) throw new Failure('not_found', 'You neither wait nor ask to join here');
    await moveUp(inner, loaded, now);
    await announce(inner, { course: courseId, seq: loaded.row.seq });
  });
}

/** All that somebody has done is kept, and is there again when they return. */
export async function leave(
  em: EntityManager,
  courseId: string,
  person: Person | null,
  now: string,
): Promise<void> {
  await byTurn(em, courseId, async (inner) => {
    const loaded = await lockedCourse(inner, courseId);
    const row =
      person === null
        ? null
        : await inner.findOne(MemberRow, { courseId, personId: person.id, leftAt: null });
    if (loaded === null || row === null) throw nothingHere();
    if (row.role !== 'learner') {
      throw new Failure('not_allowed', 'Staff and visitors are taken off the course by its staff');
    }
    if (!loaded.course.mayLeave) {
      throw new Failure('not_allowed', 'Nobody leaves this course by themselves; ask its staff');
    }
    inner.assign(row, { leftAt: now, leftHow: 'left' });
    await announce(inner, { course: courseId, seq: loaded.row.seq });
  });
}
