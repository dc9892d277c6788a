/** A class made two, and two made one, as one act: whoever moves keeps everything. */
import type { EditMembers } from '@itinerary/contract';
import { MAX_GROUPS, nextPlace, setTableEntry } from '@itinerary/core';
import type { Course, Group } from '@itinerary/core';
import { randomUUID } from 'node:crypto';
import type { LockedCourse } from '../../db/kept-courses.ts';
import { RegistryFollowRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';
import { makeOwnChange } from '../plan/own-change.ts';
import { isNamed } from './lists/take-back-list.ts';

type Split = Extract<EditMembers, { act: 'split' }>;
type Join = Extract<EditMembers, { act: 'join' }>;

export interface Doer {
  readonly author: string;
  readonly now: string;
}

function groupOf(course: Course, id: string, path: string): Group {
  const group = course.groups[id];
  if (group !== undefined) return group;
  throw new Failure('bad_input', `In the body: ${path}`, [
    { path, value: id, expected: 'the id of a group or class of the course' },
  ]);
}

/** Under the course's lock. */
export async function split(
  em: EntityManager,
  loaded: LockedCourse,
  { group, into, people }: Split,
  { author, now }: Doer,
): Promise<void> {
  const { course } = loaded;
  const from = groupOf(course, group, 'group');
  // Sent again, it is split already.
  if (course.groups[into.id] !== undefined) return;
  const inIt = await em.execute<{ id: string }[]>(
    'select person_id as id from member_group where course_id = ? and group_id = ?',
    [course.id, group],
  );
  const there = new Set(inIt.map(({ id }) => id));
  const at = people.findIndex((person) => !there.has(person));
  if (at >= 0) {
    throw new Failure('members_changed', 'Somebody is in it no more; look at it once more', [
      { path: `people.${at}`, value: people[at], expected: 'somebody who is in it' },
    ]);
  }
  const edits = [
    setTableEntry(course, 'groups', into.id, { ...from, name: into.name, at: nextPlace(course.groups) }),
  ];
  const made = await makeOwnChange(em, loaded, { id: randomUUID(), edits, author, at: now });
  if (!made.ok) {
    throw new Failure('bad_input', 'In the body: into', [
      { path: 'into', value: into.name, expected: `a name, and at most ${MAX_GROUPS} groups and classes` },
    ]);
  }
  await em.flush();
  await em.execute(
    `update member_group set group_id = ? where course_id = ? and group_id = ?
       and person_id in (select jsonb_array_elements_text(?::jsonb))`,
    [into.id, course.id, group, JSON.stringify(people)],
  );
}

/** Under the course's lock. */
export async function join(
  em: EntityManager,
  loaded: LockedCourse,
  { group, into }: Join,
  { author, now }: Doer,
): Promise<void> {
  const { course } = loaded;
  // Sent again, it is gone already.
  if (course.groups[group] === undefined && course.groups[into] !== undefined) return;
  const [from, to] = [groupOf(course, group, 'group'), groupOf(course, into, 'into')];
  if (group === into || from.kind !== to.kind) {
    throw new Failure('bad_input', 'In the body: into', [
      { path: 'into', value: into, expected: `another ${from.kind} than the one that joins it` },
    ]);
  }
  await em.execute(
    `insert into member_group (course_id, person_id, group_id)
       select course_id, person_id, ? from member_group where course_id = ? and group_id = ?
     on conflict do nothing`,
    [into, course.id, group],
  );
  await em.execute('delete from member_group where course_id = ? and group_id = ?', [course.id, group]);
  // Whom the registry has in the one, it has in the other from now on.
  await em.nativeUpdate(RegistryFollowRow, { courseId: course.id, groupId: group }, { groupId: into });
  if (isNamed(course, group)) return;
  const edits = [setTableEntry(course, 'groups', group, null)];
  await makeOwnChange(em, loaded, { id: randomUUID(), edits, author, at: now });
  await em.flush();
}
