/** The passphrase for visitors: kept as a hash, compared in even time, and closed to guessing by trial. */
import { createHash } from 'node:crypto';
import type { Passphrase, Course } from '@itinerary/core';
import { isEasyPassphrase } from '@itinerary/core';
import { CourseSecretRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { hashPassword, passwordMatches } from '../people/passwords.ts';
import type { Attempts } from '../people/attempts.ts';
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
  await em.upsert(CourseSecretRow, { courseId: course.id, ...values });
  return easy ? 'easy' : 'good';
}

export interface VisitTry {
  readonly course: string;
  /** Where it comes from on the network. */
  readonly place: string;
}

/**
 * @returns the mark of the passphrase that was right, by which a visit is known to be by it.
 * @throws Failure `wrong_passphrase`, `too_many_attempts`.
 */
export async function checkPassphrase(
  em: EntityManager,
  attempts: Attempts,
  of: VisitTry,
  said: string,
): Promise<string> {
  const tried = await attempts.visit(of);
  const row = await em.findOne(CourseSecretRow, { courseId: of.course });
  const isRight = await passwordMatches(said.trim(), row?.passphraseHash ?? null);
  if (row !== null && isRight) {
    await tried.giveBack();
    return markOf(row.passphraseHash);
  }
  throw new Failure('wrong_passphrase', 'That is not the passphrase of this course');
}

/** Says which passphrase a visit is by, and nothing of what it is. */
export const markOf = (hash: string): string =>
  createHash('sha256').update(hash).digest('base64url').slice(0, 22);
