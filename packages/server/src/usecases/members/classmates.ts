/** Who else is on a course, as far as the course lets a reader see it. */
import type { ClassmatesAnswer, ReadItemAnswer } from '@itinerary/contract';
import { classmatesOf, findNode, groupWorkOf, mayWith } from '@itinerary/core';
import type { Course, GroupWork, Viewer } from '@itinerary/core';
import { MemberGroupRow, MemberRow, PersonRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { nothingHere } from '../nothing-here.ts';
import { grouped } from './lists/grouped.ts';

export async function classmates(
  em: EntityManager,
  course: Course,
  viewer: Viewer,
  now: string,
): Promise<ClassmatesAnswer> {
  const all = await em.find(MemberRow, { courseId: course.id, leftAt: null });
  const memberships = await em.find(MemberGroupRow, { courseId: course.id });
  const found = await em.find(PersonRow, { placeIn: null, id: { $in: all.map(({ personId }) => personId) } });
  const names = new Map(found.map(({ id, name }) => [id, name]));
  // A place is nobody whom one could meet yet.
  const people = all
    .filter(({ personId }) => names.has(personId))
    .map(({ personId, role }) => ({
      name: names.get(personId) ?? '',
      role,
      groups: memberships.filter((one) => one.personId === personId).map(({ groupId }) => groupId),
    }));
  const seen = classmatesOf(course, viewer, now, people);
  if (seen === null) throw nothingHere();
  const mayLeave = viewer.role === 'learner' && course.mayLeave && course.state !== 'archived';
  return { mayLeave, people: seen.map((one) => ({ ...one, groups: [...one.groups] })) };
}

/** Who works on an item together with somebody of these groups, themselves among them; in the order of no matter what. */
export async function partnersOf(
  em: EntityManager,
  course: Course,
  mode: GroupWork,
  mine: readonly string[],
): Promise<readonly string[]> {
  const memberships = await em.find(MemberGroupRow, { courseId: course.id });
  const groupsOf = grouped(
    memberships,
    ({ personId }) => personId,
    ({ groupId }) => groupId,
  );
  const rows = await em.find(MemberRow, { courseId: course.id, role: 'learner', leftAt: null });
  return rows
    .map(({ personId }) => personId)
    .filter((person) => mayWith(course, mode, mine, groupsOf.get(person) ?? []) === 'work');
}

/** Whom a learner works with in an item, where it is worked on in groups. */
export async function groupOf(
  em: EntityManager,
  course: Course,
  viewer: Viewer,
  itemId: string,
): Promise<ReadItemAnswer['group']> {
  const node = findNode(course, itemId)?.node;
  const mode = node === undefined ? 'none' : groupWorkOf(course, node);
  if (mode === 'none' || viewer.role !== 'learner') return null;
  const mine = viewer.groups ?? [];
  const own = mine.find((id) => course.groups[id]?.kind === 'group');
  const partners = await partnersOf(em, course, mode, mine);
  const people = await em.find(PersonRow, { placeIn: null, id: { $in: [...partners] } });
  return {
    mode,
    own: own === undefined ? null : (course.groups[own]?.name ?? null),
    people: people.map(({ name }) => name).sort((a, b) => a.localeCompare(b)),
  };
}
