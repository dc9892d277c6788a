/** What is done to several people of a course at once: whole, or not at all. */
import type { EditMembers } from '@itinerary/contract';
import type { Course } from '@itinerary/core';
import { byTurn } from '../../db/locks.ts';
import { MemberGroupRow, MemberRow, PersonRow } from '../../db/entities.ts';
import type { MemberRecord } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';
import { lastInstructor } from './lists/keep-instructor.ts';
import { join, split } from './split-and-join.ts';
import { openForMembers } from './lists/take-list.ts';

export async function editMembers(
  em: EntityManager,
  courseId: string,
  edit: EditMembers,
  author: string,
  now: string,
): Promise<void> {
  await byTurn(em, courseId, async (inner) => {
    const loaded = await openForMembers(inner, courseId);
    const { course } = loaded;
    if (edit.act === 'split') return split(inner, loaded, edit, { author, now });
    if (edit.act === 'join') return join(inner, loaded, edit, { author, now });
    const rows = await inner.find(MemberRow, { courseId, leftAt: null });
    const byPerson = new Map(rows.map((row) => [row.personId, row]));
    if (edit.act === 'groups') return editGroups(inner, course, edit.groups, byPerson);
    const chosen = edit.people.map((person, at) => onCourse(byPerson, person, `people.${at}`));
    const changed = new Set(chosen);
    if (edit.act === 'role') for (const row of changed) row.role = edit.role;
    else for (const row of changed) Object.assign(row, { leftAt: now, leftHow: 'removed' });
    await mustKeepOne(inner, rows);
  });
}

function onCourse(byPerson: ReadonlyMap<string, MemberRecord>, person: string, path: string): MemberRecord {
  const row = byPerson.get(person);
  if (row !== undefined) return row;
  throw new Failure('bad_input', `In the body: ${path}`, [
    { path, value: person, expected: 'the id of somebody on the course' },
  ]);
}

/** Somebody who can sign in stays as instructor. */
export async function mustKeepOne(em: EntityManager, rows: readonly MemberRecord[]): Promise<void> {
  const left = rows.filter(({ role, leftAt }) => role === 'instructor' && leftAt === null);
  const ids = left.map(({ personId }) => personId);
  if (ids.length > 0 && (await em.count(PersonRow, { id: { $in: ids }, placeIn: null })) > 0) return;
  throw lastInstructor();
}

async function editGroups(
  em: EntityManager,
  course: Course,
  edits: Extract<EditMembers, { act: 'groups' }>['groups'],
  byPerson: ReadonlyMap<string, MemberRecord>,
): Promise<void> {
  const courseId = course.id;
  const unknown = edits.findIndex(({ group }) => !Object.hasOwn(course.groups, group));
  if (unknown >= 0) {
    throw new Failure('bad_input', `In the body: groups.${unknown}.group`, [
      {
        path: `groups.${unknown}.group`,
        value: edits[unknown]?.group,
        expected: 'the id of a group or class of the course',
      },
    ]);
  }
  const rows = await em.find(MemberGroupRow, { courseId, groupId: { $in: edits.map(({ group }) => group) } });
  const standing = new Map(rows.map((row) => [`${row.groupId} ${row.personId}`, row]));
  edits.forEach(({ group, add, leave }, at) => {
    for (const person of leave) {
      const key = `${group} ${person}`;
      const row = standing.get(key);
      if (row !== undefined) em.remove(row);
      standing.delete(key);
    }
    add.forEach((person, which) => {
      const key = `${group} ${person}`;
      onCourse(byPerson, person, `groups.${at}.add.${which}`);
      if (standing.has(key)) return;
      const row = em.create(MemberGroupRow, { courseId, personId: person, groupId: group });
      em.persist(row);
      standing.set(key, row);
    });
  });
}
