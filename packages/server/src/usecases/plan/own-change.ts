/** A change of a course written down with its number, whoever made it: also an act upon its people may bring one. */
import { applyChange } from '@itinerary/core';
import type { Course, Edit } from '@itinerary/core';
import { writeChanged } from '../../db/changed-rows.ts';
import type { LockedCourse } from '../../db/kept-courses.ts';
import { ChangeRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';

export interface OwnChange {
  readonly id: string;
  readonly edits: readonly Edit[];
  readonly author: string;
  readonly at: string;
}

/**
 * Writes the next state of a course, and the change that made it, under the course's lock.
 *
 * @returns its number
 */
export async function writeChange(
  em: EntityManager,
  loaded: LockedCourse,
  next: Course,
  { id, edits, author, at, undoes }: OwnChange & { readonly undoes: string | null },
): Promise<number> {
  const seq = loaded.row.seq + 1;
  await writeChanged(em, loaded.course, next, seq);
  await em.insert(ChangeRow, { courseId: next.id, seq, id, authorId: author, edits: [...edits], undoes, at });
  loaded.row.seq = seq;
  return seq;
}

/** Under the course's lock. */
export async function makeOwnChange(
  em: EntityManager,
  loaded: LockedCourse,
  change: OwnChange,
): Promise<ReturnType<typeof applyChange>> {
  const applied = applyChange(loaded.course, { id: change.id, edits: [...change.edits] });
  if (applied.ok) await writeChange(em, loaded, applied.course, { ...change, undoes: null });
  return applied;
}
