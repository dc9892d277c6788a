/** Where somebody who listens stands: who they are before each of their courses, and when something comes next. */
import { instantsOf } from '@itinerary/core';
import type { Viewer } from '@itinerary/core';
import type { Clock } from '../config/clock.ts';
import { ChangeRow, CourseRow } from '../db/entities.ts';
import type { Person } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';
import { coursesAndViewers } from '../usecases/access/viewer.ts';

export interface Standing {
  readonly viewers: ReadonlyMap<string, Viewer>;
  /**
   * The next moment of any of their courses, in milliseconds since 1970-01-01T00:00Z; one that has passed untold
   * is that as well. Null: none.
   */
  readonly next: number | null;
}

export const NOWHERE: Standing = { viewers: new Map(), next: null };

/**
 * One question, where nothing of theirs depends on what they have done in another course.
 *
 * @param since the instant up to which everything has been told, in milliseconds since 1970-01-01T00:00Z.
 */
export async function standing(
  em: EntityManager,
  person: Person,
  clock: Clock,
  since: number,
): Promise<Standing> {
  const now = clock.now();
  const own = await coursesAndViewers(em, person, now);
  const viewers = new Map(own.map(({ course, viewer }) => [course.id, viewer]));
  const at = Date.parse(now);
  const ahead = own
    .flatMap(({ course, viewer }) => instantsOf(course, viewer, at))
    .filter((instant) => instant > since);
  // A clock that stands never gets there.
  return { viewers, next: ahead.length === 0 || clock.stands ? null : Math.min(...ahead) };
}

/** Courses of theirs that have changed since then, each with its last number: the page may be from before it. */
export async function changedSince(
  em: EntityManager,
  person: Person,
  own: readonly string[],
  since: number,
): Promise<readonly { readonly id: string; readonly seq: number }[]> {
  const isStaff = person.kind === 'staff';
  const recent = await em.find(
    ChangeRow,
    {
      at: { $gte: new Date(since).toISOString() },
      ...(isStaff ? {} : { courseId: { $in: [...own] } }),
    },
    { fields: ['courseId', 'seq'], orderBy: { seq: 'asc' } },
  );
  const last = new Map(recent.map(({ courseId, seq }) => [courseId, seq]));
  if (isStaff && last.size > 0) {
    const theirs = { institutionId: person.institutionId, id: { $in: [...last.keys()] } };
    const kept = new Set((await em.find(CourseRow, theirs, { fields: ['id'] })).map(({ id }) => id));
    for (const id of last.keys()) if (!kept.has(id)) last.delete(id);
  }
  return [...last].map(([id, seq]) => ({ id, seq }));
}
