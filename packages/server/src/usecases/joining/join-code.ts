/** The code by which a course is joined. */
import { randomBytes } from 'node:crypto';
import type { WaysInAnswer } from '@itinerary/contract';
import { CODE_LENGTH, codeOf, readCode } from '@itinerary/core/people';
import { JoinCodeRow, MemberRow } from '../../db/entities.ts';
import { underCourse } from '../../db/locks.ts';
import type { EntityManager } from '../../db/orm.ts';
import type { Attempts } from '../people/attempts.ts';
import { Failure } from '../failure.ts';

export async function waysIn(em: EntityManager, courseId: string): Promise<WaysInAnswer> {
  const row = await em.findOne(JoinCodeRow, { courseId });
  const learner = { courseId, role: 'learner' as const, leftAt: null };
  return {
    code: row?.code ?? null,
    madeAt: row?.madeAt ?? null,
    learners: await em.count(MemberRow, learner),
    byLink: await em.count(MemberRow, { ...learner, way: 'link' }),
  };
}

/** The one before stops in the same moment. */
export async function newJoinCode(em: EntityManager, courseId: string, now: string): Promise<WaysInAnswer> {
  await underCourse(em, courseId, async (inner) => {
    const code = codeOf(randomBytes(CODE_LENGTH));
    await inner.upsert(JoinCodeRow, { courseId, code, madeAt: now });
  });
  return waysIn(em.fork(), courseId);
}

/**
 * @param place where it comes from on the network
 * @returns the id of the course that has this code
 * @throws Failure `not_found`, `too_many_attempts`
 */
export async function courseOfCode(
  em: EntityManager,
  attempts: Attempts,
  typed: string,
  place: string,
): Promise<string> {
  const tried = await attempts.join({ place });
  const code = readCode(typed);
  const row = code === null ? null : await em.findOne(JoinCodeRow, { code });
  if (row === null) {
    throw new Failure('not_found', 'No course has this code; whoever gave it to you may have made a new one');
  }
  await tried.giveBack();
  return row.courseId;
}
