/** Whose names somebody is told of those who have said or done something in a course. */
import { isNameTold } from '@itinerary/core';
import type { Course, Viewer } from '@itinerary/core';
import { MemberGroupRow, MemberRow, PersonRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';

/** Who reads. */
interface Named {
  readonly viewer: Viewer;
  readonly person: { readonly id: string } | null;
}

/** By id, the names that this reader is told; their own among them. */
export async function namesTold(
  em: EntityManager,
  course: Course,
  { viewer, person }: Named,
  ids: readonly string[],
): Promise<ReadonlyMap<string, string>> {
  const of = { courseId: course.id, personId: { $in: [...ids] } };
  const members = await em.find(MemberRow, { ...of, leftAt: null });
  const groups = await em.find(MemberGroupRow, of);
  const people = await em.find(PersonRow, { id: { $in: [...ids] } });
  const isTold = (id: string): boolean =>
    id === person?.id ||
    isNameTold(course, viewer, {
      role: members.find(({ personId }) => personId === id)?.role ?? null,
      groups: groups.filter(({ personId }) => personId === id).map(({ groupId }) => groupId),
    });
  return new Map(people.filter(({ id }) => isTold(id)).map(({ id, name }) => [id, name]));
}
