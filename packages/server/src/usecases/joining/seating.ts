/** A seat taken, a place in the line, or why not: what every way in comes to. */
import { CheckConstraintViolationException } from '@mikro-orm/core';
import type { OpenWay } from '@itinerary/contract';
import type { Course } from '@itinerary/core';
import { roleBy } from '@itinerary/core/people';
import type { JoinAnswer } from '@itinerary/core/people';
import { HeldSeatRow, WaitingRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import { byTurn } from '../../db/locks.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';
import type { InHand } from './join-facts.ts';

/** One transaction; where the database itself finds no seat, that is said as core would have said it. */
export async function withSeats<T>(
  em: EntityManager,
  courseId: string,
  work: (inner: EntityManager) => Promise<T>,
): Promise<T> {
  try {
    return await byTurn(em, courseId, work);
  } catch (error) {
    const isFull = error instanceof CheckConstraintViolationException && /no seat left/.test(error.message);
    throw isFull ? cannot('full') : error;
  }
}

export async function seat(
  em: EntityManager,
  course: Pick<Course, 'id' | 'ways'>,
  person: Pick<Person, 'id'>,
  way: OpenWay,
  { invitation, holders }: InHand,
  now: string,
): Promise<void> {
  const courseId = course.id;
  // The seat of an invitation is theirs now, not one more.
  if (holders.length > 0) {
    await em.nativeDelete(HeldSeatRow, { courseId, holder: { $in: [...holders] }, kind: 'invitation' });
  }
  // Whoever returns joined when they first did.
  await em.execute(
    `insert into member (course_id, person_id, role, joined_at, way) values (?, ?, ?, ?, ?)
     on conflict (course_id, person_id) do update
       set role = excluded.role, left_at = null, left_how = null, way = excluded.way`,
    [courseId, person.id, roleBy(course, way, invitation?.role), now, way],
  );
}

/** At the end; whoever waits already stays where they are. */
export async function waitFor(
  em: EntityManager,
  courseId: string,
  person: Pick<Person, 'id'>,
  way: OpenWay | 'registry',
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
