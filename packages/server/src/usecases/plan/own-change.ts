/** A change of a course written down with its number, whoever made it: also an act upon its people may bring one. */
import { applyChange } from '@itinerary/core';
import type { Course, Edit } from '@itinerary/core';
import { writeCourse } from '../../db/course-rows.ts';
import type { LoadedCourse } from '../../db/course-rows.ts';
import { ChangeRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';

export interface OwnChange {
  readonly id: string;
  readonly edits: readonly Edit[];
  readonly author: string;
  readonly at: string;
}

/**
 * The next state of a course and the change that made it, under the course's lock; the caller flushes.
 *
 * @returns its number
 */
export function writeChange(
  em: EntityManager,
  loaded: LoadedCourse,
  next: Course,
  { id, edits, author, at, undoes }: OwnChange & { readonly undoes: string | null },
): number {
  const seq = loaded.row.seq + 1;
  writeCourse(em, loaded, next);
  loaded.row.seq = seq;
  const courseId = next.id;
  em.persist(em.create(ChangeRow, { courseId, seq, id, authorId: author, edits: [...edits], undoes, at }));
  return seq;
}

/** Under the course's lock; the caller flushes. */
export function makeOwnChange(
  em: EntityManager,
  loaded: LoadedCourse,
  change: OwnChange,
): ReturnType<typeof applyChange> {
  const applied = applyChange(loaded.course, { id: change.id, edits: [...change.edits] });
  if (applied.ok) writeChange(em, loaded, applied.course, { ...change, undoes: null });
  return applied;
}
