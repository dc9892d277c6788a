/** Joining, asking to join, waiting, and leaving. Who may is core's to say; seats stand on the database besides. */
import { CheckConstraintViolationException } from '@mikro-orm/core';
import type { JoinBy, JoinedAnswer, OpenWay } from '@itinerary/contract';
import { planCourse } from '@itinerary/core';
import { heldFor } from '@itinerary/core/people';
import type { JoinAnswer } from '@itinerary/core/people';
import { announce } from '../../db/announce.ts';
import { loadCourse } from '../../db/course-rows.ts';
import type { LoadedCourse } from '../../db/course-rows.ts';
import { HeldSeatRow, JoinRequestRow, MemberRow, PaymentRow, WaitingRow } from '../../db/entities.ts';
import type { InvitationRecord, Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';
import { nothingHere } from '../nothing-here.ts';
import { heldBy, opensNothing } from './join-code.ts';
import { EMPTY_HANDED, joiningOf } from './join-facts.ts';
import type { InHand } from './join-facts.ts';
import { moveUp } from './line.ts';
import { askToJoin } from './requests.ts';

type Come = JoinedAnswer['is'];

/** Whoever is in the course already is in it: pressed twice is pressed once. */
export async function joinByKey(
  em: EntityManager,
  key: string,
  courseId: string,
  person: Person,
  now: string,
): Promise<JoinedAnswer> {
  const is = await whole(em, async (inner) => {
    const loaded = await openCourse(inner, courseId, person);
    // Made anew, taken or withdrawn since it was looked up, it is nobody's.
    const held = await heldBy(inner, key);
    if (held?.course !== courseId) throw opensNothing();
    await moveUp(inner, loaded, now);
    return come(inner, loaded, person, held.hand.invitation === null ? 'link' : 'invitation', held.hand, now);
  });
  return { course: courseId, is, page: null };
}

/** By what they are asked, or offered, as somebody who knows of the course. */
export async function joinKnown(
  em: EntityManager,
  courseId: string,
  person: Person,
  { way, answer }: JoinBy,
  now: string,
): Promise<JoinedAnswer> {
  const is = await whole(em, async (inner) => {
    const loaded = await openCourse(inner, courseId, person);
    await moveUp(inner, loaded, now);
    const joining = await joiningOf(inner, planCourse(loaded.course), person, EMPTY_HANDED, Date.parse(now));
    const said = joining.answerBy(way);
    const at = Date.parse(now);
    const isOffered = heldFor(joining.course, person.id, at).some((one) => one.way === way);
    if (way === 'request' && !isOffered) return ask(inner, loaded, person, said, answer, now);
    return come(inner, loaded, person, way, EMPTY_HANDED, now);
  });
  return { course: courseId, is, page: null };
}

async function whole(em: EntityManager, work: (inner: EntityManager) => Promise<Come>): Promise<Come> {
  try {
    return await em.transactional(work);
  } catch (error) {
    if (error instanceof CheckConstraintViolationException && /no seat left/.test(error.message)) {
      throw cannot('full');
    }
    throw error;
  }
}

async function openCourse(em: EntityManager, courseId: string, person: Person): Promise<LoadedCourse> {
  const loaded = await loadCourse(em, courseId, true);
  if (loaded === null || loaded.row.institutionId !== person.institutionId) throw nothingHere();
  return loaded;
}

/** In, or into the line: as core says after those who wait have been served. */
async function come(
  em: EntityManager,
  { course, row }: LoadedCourse,
  person: Person,
  way: OpenWay,
  hand: InHand,
  now: string,
): Promise<Come> {
  const joining = await joiningOf(em, planCourse(course), person, hand, Date.parse(now));
  const answer = joining.answerBy(way);
  if (answer.can === 'no' && answer.because !== 'in') throw cannot(answer.because);
  if (answer.can === 'wait') {
    await waitFor(em, course.id, person, way, answer, now);
  } else {
    if (answer.can === 'yes') await seat(em, course.id, person, way, hand, now);
    if (hand.invitation !== null) await taken(em, hand.invitation, person, now);
  }
  await announce(em, { course: course.id, seq: row.seq });
  return answer.can === 'wait' ? 'waiting' : 'in';
}

export async function seat(
  em: EntityManager,
  courseId: string,
  person: Pick<Person, 'id'>,
  way: OpenWay,
  { invitation, holders }: InHand,
  now: string,
): Promise<void> {
  // The seat of an invitation is theirs now, not one more.
  await em.nativeDelete(HeldSeatRow, { courseId, holder: { $in: [...holders] }, kind: 'invitation' });
  const row = await em.findOne(MemberRow, { courseId, personId: person.id });
  const role = invitation?.role ?? ('learner' as const);
  const values = { role, leftAt: null, leftHow: null, way };
  // Whoever returns joined when they first did.
  if (row === null) {
    em.persist(em.create(MemberRow, { courseId, personId: person.id, joinedAt: now, ...values }));
  } else em.assign(row, values);
  await em.flush();
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

/** At the end; whoever waits already stays where they are. */
export async function waitFor(
  em: EntityManager,
  courseId: string,
  person: Pick<Person, 'id'>,
  way: OpenWay,
  { line, isIn }: Extract<JoinAnswer, { can: 'wait' }>,
  now: string,
): Promise<void> {
  if (isIn) return;
  // One person waits in one place: by another way they come to the end of that line.
  await em.nativeDelete(WaitingRow, { courseId, personId: person.id });
  await em.execute(`insert into waiting (course_id, person_id, way, line, since) values (?, ?, ?, ?, ?)`, [
    courseId,
    person.id,
    way,
    line,
    now,
  ]);
}

async function ask(
  em: EntityManager,
  loaded: LoadedCourse,
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

const WHY: Readonly<Record<Extract<JoinAnswer, { can: 'no' }>['because'], string>> = {
  absent: 'There is nothing here',
  archived: 'The course is in the archive; nobody joins it any more',
  draft: 'The course is not open yet',
  in: 'You are in this course already',
  off: 'Joining in this way is switched off',
  not_for: 'Joining in this way is not for you',
  not_yet: 'Joining in this way is not open yet',
  over: 'Joining in this way is over',
  full: 'The course has no seat left',
};

export function cannot(because: keyof typeof WHY): Failure {
  return new Failure('cannot_join', WHY[because], [
    { path: 'because', value: because, expected: 'that one may join' },
  ]);
}

/** Out of the line, without the seat that was offered, and what was asked and not answered is taken back. */
export async function noLonger(
  em: EntityManager,
  courseId: string,
  person: Person,
  now: string,
): Promise<void> {
  await em.transactional(async (inner) => {
    const loaded = await loadCourse(inner, courseId, true);
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
  await em.transactional(async (inner) => {
    const loaded = await loadCourse(inner, courseId, true);
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
