/** Who is on a course. Taking somebody off keeps everything of theirs; they can return. */
import type { MembersAnswer, PeopleAnswer } from '@itinerary/contract';
import { ROLES } from '@itinerary/core';
import type { Course, Role } from '@itinerary/core';
import { filedAs } from '@itinerary/core/people';
import { MemberGroupRow, MemberRow, PersonRow, VisitRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import { underCourse } from '../../db/locks.ts';
import type { EntityManager } from '../../db/orm.ts';
import { shownPerson } from '../people/me.ts';
import { Failure } from '../failure.ts';
import { nameOrderOf } from '../institution/name-order.ts';
import { mustKeepOne } from './edit-members.ts';
import { grouped } from './lists/grouped.ts';
import { namedOf } from './lists/roster-rows.ts';

export async function members(em: EntityManager, courseId: string): Promise<MembersAnswer> {
  const listed = await listedMembers(em, courseId);
  return {
    members: listed.sort(
      (a, b) => ROLES.indexOf(a.role) - ROLES.indexOf(b.role) || a.name.localeCompare(b.name),
    ),
  };
}

/** @param only of these alone */
export async function listedMembers(
  em: EntityManager,
  courseId: string,
  only: readonly string[] | null = null,
): Promise<MembersAnswer['members'][number][]> {
  const among = only === null ? {} : { personId: { $in: [...only] } };
  const order = await nameOrderOf(em, courseId);
  const rows = await em.find(MemberRow, { courseId, leftAt: null, ...among });
  const people = await em.find(PersonRow, { id: { $in: rows.map(({ personId }) => personId) } });
  const byId = new Map(people.map((person) => [person.id, person]));
  const groupsOf = grouped(
    await em.find(MemberGroupRow, { courseId, ...among }),
    ({ personId }) => personId,
    ({ groupId }) => groupId,
  );
  const visits = new Map(
    (await em.find(VisitRow, { courseId, ...among })).map((visit) => [visit.personId, visit.lastAt]),
  );
  return rows.map((row) => {
    const { personId, role, joinedAt, way } = row;
    const person = byId.get(personId) as Person;
    const { address, id, userName, ...called } = namedOf(row, person);
    return {
      person: personId,
      name: filedAs(called, order) || person.name,
      address,
      number: id,
      userName,
      role,
      joinedAt,
      way,
      lastAt: visits.get(personId) ?? null,
      isPlace: person.placeIn !== null,
      groups: [...(groupsOf.get(personId) ?? [])],
    };
  });
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
      placeIn: null,
      id: { $nin: on.map(({ personId }) => personId) },
      $or: [{ name: { $ilike: pattern } }, { address: { $ilike: pattern } }],
    },
    { orderBy: { name: 'asc' }, limit: MOST_CANDIDATES + 1 },
  );
  return {
    people: found.slice(0, MOST_CANDIDATES).map(shownPerson),
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
    const known = await inner.find(PersonRow, { institutionId, placeIn: null, id: { $in: [...people] } });
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
        inner.persist(
          inner.create(MemberRow, {
            courseId,
            personId: id,
            role,
            joinedAt: now,
            leftAt: null,
            leftHow: null,
          }),
        );
      } else if (row.leftAt !== null) {
        Object.assign(row, { leftAt: null, leftHow: null, way: 'staff', role });
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
    Object.assign(row, { leftAt: now, leftHow: 'removed' });
    await mustKeepOne(inner, rows);
  });
  return members(em.fork(), courseId);
}

/** Groups and classes that somebody of them is in, in their order. */
export function groupsAmong(
  course: Pick<Course, 'groups'>,
  people: readonly { readonly groups: readonly string[] }[],
): { readonly id: string; readonly name: string }[] {
  return Object.entries(course.groups)
    .filter(([id]) => people.some(({ groups }) => groups.includes(id)))
    .sort(([, a], [, b]) => a.at - b.at)
    .map(([id, { name }]) => ({ id, name }));
}
