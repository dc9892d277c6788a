/** Who is on a course. Taking somebody off keeps everything of theirs; they can return. */
import type { MembersAnswer, PeopleAnswer } from '@itinerary/contract';
import { ROLES, byName } from '@itinerary/core';
import type { Course, Role } from '@itinerary/core';
import { filedAs } from '@itinerary/core/people';
import { MemberGroupRow, MemberRow, PersonRow } from '../../db/entities.ts';
import type { MemberRecord, Person } from '../../db/entities.ts';
import { underCourse } from '../../db/locks.ts';
import type { EntityManager } from '../../db/orm.ts';
import { shownPerson } from '../people/me.ts';
import { Failure } from '../failure.ts';
import { nameOrderOf } from '../institution/name-order.ts';
import { mustKeepOne } from './edit-members.ts';
import { namedOf } from './lists/roster-rows.ts';

export async function members(em: EntityManager, courseId: string): Promise<MembersAnswer> {
  const listed = await listedMembers(em, courseId);
  return {
    members: listed.sort((a, b) => ROLES.indexOf(a.role) - ROLES.indexOf(b.role) || byName(a.name, b.name)),
  };
}

/** @param only of these alone */
export async function listedMembers(
  em: EntityManager,
  courseId: string,
  only: readonly string[] | null = null,
): Promise<MembersAnswer['members'][number][]> {
  const order = await nameOrderOf(em, courseId);
  const rows = await em.execute<ListedRow[]>(
    `select member.person_id as "person", member.role, member.joined_at as "joinedAt", member.way, member.listed,
       person.name, person.address, person.place_in as "placeIn", visit.last_at as "lastAt",
       (select jsonb_agg(group_id) from member_group
          where course_id = member.course_id and person_id = member.person_id) as groups
     from member join person on person.id = member.person_id
       left join visit on visit.course_id = member.course_id and visit.person_id = member.person_id
     where member.course_id = ? and member.left_at is null
       and (?::jsonb is null or member.person_id in (select jsonb_array_elements_text(?::jsonb)))`,
    [courseId, ...Array<string | null>(2).fill(only === null ? null : JSON.stringify(only))],
  );
  return rows.map((row) => {
    const { address, id, userName, ...called } = namedOf(row, row);
    const { person, role, joinedAt, way, lastAt } = row;
    return {
      ...{ person, name: filedAs(called, order) || row.name, address, number: id, userName },
      ...{ role, joinedAt, way, lastAt, isPlace: row.placeIn !== null, groups: [...(row.groups ?? [])] },
    };
  });
}

interface ListedRow extends Pick<MemberRecord, 'role' | 'joinedAt' | 'way' | 'listed'> {
  readonly person: string;
  readonly name: string;
  readonly address: string | null;
  readonly placeIn: string | null;
  readonly lastAt: string | null;
  readonly groups: readonly string[] | null;
}

const MOST_CANDIDATES = 50;

/** People of the institution who are not on the course and whose name or address holds `find`. */
export async function candidates(
  em: EntityManager,
  institutionId: string,
  courseId: string,
  find: string,
): Promise<PeopleAnswer> {
  // In a pattern of SQL, % and _ stand for others; typed, they stand for themselves.
  const pattern = `%${find.trim().replaceAll(/[\\%_]/g, '\\$&')}%`;
  const found = await em.execute<Pick<Person, 'id' | 'name' | 'address' | 'kind'>[]>(
    `select id, name, address, kind from person
     where institution_id = ? and place_in is null and (name ilike ? or address ilike ?)
       and not exists (
         select from member where course_id = ? and person_id = person.id and left_at is null)
     order by name limit ?`,
    [institutionId, pattern, pattern, courseId, MOST_CANDIDATES + 1],
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
