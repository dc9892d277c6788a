/**
 * What goes over several rows stands on a lock: whoever comes second sees all that the first has done, and what was
 * sent twice at once is done once and answered twice.
 */
import { openTurns } from '../lanes/turns.ts';
import type { EntityManager } from './orm.ts';

/** A class that comes at once is served to its end; nobody holds a connection while they wait. In milliseconds. */
const MOST_MS = 60_000;
const inTurn = openTurns('are at this course', MOST_MS);

/** One transaction at a course, after those that came before; what is part of one has had its turn. */
export function byTurn<T>(
  em: EntityManager,
  courseId: string,
  work: (inner: EntityManager) => Promise<T>,
): Promise<T> {
  if (em.isInTransaction()) return em.transactional(work);
  return inTurn(em.getConnection(), courseId, () => em.transactional(work));
}

/**
 * Nobody else holds the course until the transaction ends. What is written down of a learner meanwhile, and only names the
 * course, does not wait for that: whoever has locked such a row would wait for one who waits for them.
 */
export const lockCourse = (em: EntityManager, courseId: string): Promise<unknown> =>
  em.execute('select id from course where id = ? for no key update', [courseId]);

/** One transaction in which nobody else changes who is on the course, or what they have of their own in it. */
export function underCourse<T>(
  em: EntityManager,
  courseId: string,
  work: (inner: EntityManager) => Promise<T>,
): Promise<T> {
  return byTurn(em, courseId, async (inner) => {
    await lockCourse(inner, courseId);
    return work(inner);
  });
}

/** One transaction in which nobody else changes what the institution keeps for all courses. */
export function underInstitution<T>(
  em: EntityManager,
  institutionId: string,
  work: (inner: EntityManager) => Promise<T>,
): Promise<T> {
  return em.transactional(async (inner) => {
    await inner.execute('select id from institution where id = ? for update', [institutionId]);
    return work(inner);
  });
}
