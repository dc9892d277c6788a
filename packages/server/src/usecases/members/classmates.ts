/** Who else is on a course, as far as the course lets a reader see it. */
import type { ClassmatesAnswer, ReadItemAnswer } from '@itinerary/contract';
import { classmatesOf, findNode, groupWorkOf, mayWith, byName } from '@itinerary/core';
import type { Classmate, Course, GroupWork, Viewer } from '@itinerary/core';
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
  // A place is nobody whom one could meet yet.
  const people = await em.execute<Classmate[]>(
    `select person.name, member.role,
       (select coalesce(jsonb_agg(group_id), '[]') from member_group
          where course_id = member.course_id and person_id = member.person_id) as groups
     from member join person on person.id = member.person_id
     where member.course_id = ? and member.left_at is null and person.place_in is null`,
    [course.id],
  );
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
    people: people.map(({ name }) => name).sort((a, b) => byName(a, b)),
  };
}
