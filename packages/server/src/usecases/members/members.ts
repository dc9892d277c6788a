/** Who is on a course. Taking somebody off keeps everything of theirs; they can return. */
import type { MembersAnswer, PeopleAnswer } from '@itinerary/contract';
import { ROLES } from '@itinerary/core';
import type { Course, Role } from '@itinerary/core';
import { MemberGroupRow, MemberRow, PersonRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import { underCourse } from '../../db/locks.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';

export async function members(em: EntityManager, courseId: string): Promise<MembersAnswer> {
  const rows = await em.find(MemberRow, { courseId, leftAt: null });
  const people = await em.find(PersonRow, { id: { $in: rows.map(({ personId }) => personId) } });
  const byId = new Map(people.map((person) => [person.id, person]));
  const memberships = await em.find(MemberGroupRow, { courseId });
  const listed = rows.map(({ personId, role, joinedAt }) => {
    const person = byId.get(personId) as Person;
    const groups = memberships.filter((one) => one.personId === personId).map(({ groupId }) => groupId);
    return { person: personId, name: person.name, address: person.address, role, joinedAt, groups };
  });
  return {
    members: listed.sort(
      (a, b) => ROLES.indexOf(a.role) - ROLES.indexOf(b.role) || a.name.localeCompare(b.name),
    ),
  };
}

const MOST_CANDIDATES = 50;

/** People of the institution who are not on the course and whose name or address holds `find`. */
export async function candidates(
  em: EntityManager,
  institutionId: string,
  courseId: string,
  find: string,
): Promise<PeopleAnswer> {
  const on = await em.find(MemberRow, { courseId, leftAt: null });
  // In a pattern of SQL, % and _ stand for others; typed, they stand for themselves.
  const pattern = `%${find.trim().replaceAll(/[\\%_]/g, '\\$&')}%`;
  const found = await em.find(
    PersonRow,
    {
      institutionId,
      id: { $nin: on.map(({ personId }) => personId) },
      $or: [{ name: { $ilike: pattern } }, { address: { $ilike: pattern } }],
    },
    { orderBy: { name: 'asc' }, limit: MOST_CANDIDATES + 1 },
  );
  return {
    people: found
      .slice(0, MOST_CANDIDATES)
      .map(({ id, name, address, kind }) => ({ id, name, address, kind })),
    more: found.length > MOST_CANDIDATES,
  };
}

export async function addMembers(
  em: EntityManager,
  institutionId: string,
  courseId: string,
  people: readonly string[],
  role: Role,
  now: string,
): Promise<MembersAnswer> {
  await underCourse(em, courseId, async (inner) => {
    const known = await inner.find(PersonRow, { institutionId, id: { $in: [...people] } });
    const missing = people.findIndex((id) => !known.some((person) => person.id === id));
    if (missing >= 0) {
      throw new Failure('bad_input', 'Somebody in the list is not a person of the institution', [
        {
          path: `people.${missing}`,
          value: people[missing],
          expected: 'the id of a person of the institution',
        },
      ]);
    }
    const rows = await inner.find(MemberRow, { courseId, personId: { $in: [...people] } });
    for (const id of new Set(people)) {
      const row = rows.find(({ personId }) => personId === id);
      if (row === undefined) {
        inner.persist(inner.create(MemberRow, { courseId, personId: id, role, joinedAt: now, leftAt: null }));
      } else if (row.leftAt !== null) {
        Object.assign(row, { leftAt: null, role });
      }
    }
  });
  return members(em.fork(), courseId);
}

export async function setMemberGroups(
  em: EntityManager,
  course: Course,
  personId: string,
  groups: readonly string[],
): Promise<MembersAnswer> {
  const unknown = groups.find((id) => !Object.hasOwn(course.groups, id));
  if (unknown !== undefined) {
    throw new Failure('bad_input', 'One of the groups is not a group of this course', [
      { path: 'groups', value: unknown, expected: 'ids of groups and classes of the course' },
    ]);
  }
  const courseId = course.id;
  await underCourse(em, courseId, async (inner) => {
    const member = await inner.findOne(MemberRow, { courseId, personId, leftAt: null });
    if (member === null) throw new Failure('not_found', 'Nobody on this course has that id');
    const rows = await inner.find(MemberGroupRow, { courseId, personId });
    rows.filter(({ groupId }) => !groups.includes(groupId)).forEach((row) => inner.remove(row));
    for (const groupId of new Set(groups)) {
      if (rows.every((row) => row.groupId !== groupId)) {
        inner.persist(inner.create(MemberGroupRow, { courseId, personId, groupId }));
      }
    }
  });
  return members(em.fork(), courseId);
}

export async function removeMember(
  em: EntityManager,
  courseId: string,
  personId: string,
  now: string,
): Promise<MembersAnswer> {
  await underCourse(em, courseId, async (inner) => {
    const rows = await inner.find(MemberRow, { courseId, leftAt: null });
    const row = rows.find((member) => member.personId === personId);
    if (row === undefined) throw new Failure('not_found', 'Nobody on this course has that id');
    const instructors = rows.filter(({ role }) => role === 'instructor');
    if (row.role === 'instructor' && instructors.length === 1) {
      throw new Failure(
        'not_allowed',
        'A course keeps at least one instructor; add another before taking this one off',
      );
    }
    row.leftAt = now;
  });
  return members(em.fork(), courseId);
}
