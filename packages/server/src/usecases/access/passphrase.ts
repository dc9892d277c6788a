/** The passphrase for visitors: kept as a hash, compared in even time, and closed to guessing by trial. */
import type { Passphrase, Course } from '@itinerary/core';
import { isEasyPassphrase } from '@itinerary/core';
import { CourseSecretRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { hashPassword, passwordMatches } from '../people/passwords.ts';
import { countFailure, forgetFailures, hasFailedTooOften } from '../people/attempts.ts';
import { Failure } from '../failure.ts';

export async function passphraseState(em: EntityManager, courseId: string): Promise<Passphrase> {
  const row = await em.findOne(CourseSecretRow, { courseId });
  if (row === null) return 'none';
  return row.easy ? 'easy' : 'good';
}

/** Null takes it away. */
export async function setPassphrase(
  em: EntityManager,
  course: Course,
  passphrase: string | null,
): Promise<Passphrase> {
  if (passphrase === null) {
    await em.nativeDelete(CourseSecretRow, { courseId: course.id });
    return 'none';
  }
  const easy = isEasyPassphrase(passphrase, [course.title, course.code]);
  const values = { passphraseHash: await hashPassword(passphrase), easy };
  const row = await em.findOne(CourseSecretRow, { courseId: course.id });
  if (row === null) em.persist(em.create(CourseSecretRow, { courseId: course.id, ...values }));
  else em.assign(row, values);
  await em.flush();
  return easy ? 'easy' : 'good';
}

export async function checkPassphrase(em: EntityManager, courseId: string, said: string): Promise<void> {
  const of = `visit:${courseId}`;
  if (await hasFailedTooOften(em, of)) {
    throw new Failure(
      'too_many_attempts',
      'Too many wrong passphrases for this course; try again in 15 minutes',
    );
  }
  const row = await em.findOne(CourseSecretRow, { courseId });
  if (await passwordMatches(said.trim(), row?.passphraseHash ?? null)) {
    await forgetFailures(em, of);
    return;
  }
  await countFailure(em, of);
  throw new Failure('wrong_passphrase', 'That is not the passphrase of this course');
}
