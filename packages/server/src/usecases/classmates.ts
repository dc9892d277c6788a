/** Who else is on a course, as far as the course lets a reader see it. */
import type { ClassmatesAnswer, ReadItemAnswer } from '@itinerary/contract';
import { findNode, groupWorkOf, isReadable, mayPlan, mayWith, resolveAccess, ROLES } from '@itinerary/core';
import type { Course, Role, Viewer } from '@itinerary/core';
import { MemberGroupRow, MemberRow, PersonRow } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';
import { nothingHere } from './nothing-here.ts';

const STAFF: readonly Role[] = ['instructor', 'assistant'];

export async function classmates(
  em: EntityManager,
  course: Course,
  viewer: Viewer,
  now: string,
): Promise<ClassmatesAnswer> {
  // Looking at a course takes no part in it: visitors and those who pass by are told nobody's name.
  const isMember = viewer.role === 'learner' || mayPlan(viewer);
  if (!isMember || !isReadable(resolveAccess(course, viewer, now).course.state)) throw nothingHere();
  const rows = await em.find(MemberRow, { courseId: course.id, leftAt: null });
  const memberships = await em.find(MemberGroupRow, { courseId: course.id });
  const people = await em.find(PersonRow, { id: { $in: rows.map(({ personId }) => personId) } });
  const names = new Map(people.map(({ id, name }) => [id, name]));
  const groupsOf = (person: string): readonly string[] =>
    memberships.filter(({ personId }) => personId === person).map(({ groupId }) => groupId);
  const isClass = (id: string): boolean => course.groups[id]?.kind === 'class';
  const own = (viewer.groups ?? []).filter(isClass);
  const seen = rows.filter(({ personId, role }) => {
    if (mayPlan(viewer) || STAFF.includes(role) || course.names === 'everybody') return true;
    return course.names === 'class' && groupsOf(personId).some((id) => own.includes(id));
  });
  const listed = seen.map(({ personId, role }) => ({
    name: names.get(personId) ?? '',
    role,
    groups: groupsOf(personId).flatMap((id) => course.groups[id]?.name ?? []),
  }));
  return {
    people: listed.sort(
      (a, b) => ROLES.indexOf(a.role) - ROLES.indexOf(b.role) || a.name.localeCompare(b.name),
    ),
  };
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
  const memberships = await em.find(MemberGroupRow, { courseId: course.id });
  const rows = await em.find(MemberRow, { courseId: course.id, role: 'learner', leftAt: null });
  const partners = rows.filter(({ personId }) => {
    const theirs = memberships.filter((one) => one.personId === personId).map(({ groupId }) => groupId);
    return mayWith(course, mode, mine, theirs) === 'work';
  });
  const people = await em.find(PersonRow, { id: { $in: partners.map(({ personId }) => personId) } });
  return {
    mode,
    own: own === undefined ? null : (course.groups[own]?.name ?? null),
    people: people.map(({ name }) => name).sort((a, b) => a.localeCompare(b)),
  };
}
