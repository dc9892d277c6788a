/** A class list taken back as one act: whole while everybody it touched is as it left them, else not at all. */
import { setTableEntry } from '@itinerary/core';
import type { Course, Edit } from '@itinerary/core';
import { calledOf, takeBackList as backInCore } from '@itinerary/core/people';
import type { RosterMember } from '@itinerary/core/people';
import { randomUUID } from 'node:crypto';
import { byTurn } from '../../../db/locks.ts';
import { announce } from '../../../db/announce.ts';
import type { LockedCourse } from '../../../db/kept-courses.ts';
import { MemberGroupRow, MemberListRow, MemberRow, PersonRow } from '../../../db/entities.ts';
import type { MemberListRecord } from '../../../db/entities.ts';
import type { EntityManager } from '../../../db/orm.ts';
import { Failure } from '../../failure.ts';
import { makeOwnChange } from '../../plan/own-change.ts';
import { mustKeepInstructor } from './keep-instructor.ts';
import { readRoster, writeMember } from './roster-rows.ts';
import { openForMembers } from './take-list.ts';
import type { ListTaker } from './take-list.ts';

export async function takeBackList({ em, courseId, person, now }: ListTaker, id: string): Promise<void> {
  await byTurn(em, courseId, async (inner) => {
    const loaded = await openForMembers(inner, courseId);
    const list = await inner.findOne(MemberListRow, { courseId, id });
    if (list === null) throw new Failure('not_found', 'No list of this course has that id');
    // Sent again, it is taken back already.
    if (list.undoneAt !== null) return;
    const standing = await readRoster(inner, loaded.course);
    const back = backInCore(standing.roster, { roster: new Map(), touched: list.touched });
    if (!back.ok) throw against(back.against);
    mustKeepInstructor(back.roster);
    const writing = { em: inner, course: loaded.course, now, institutionId: person.institutionId, standing };
    for (const { before, after, standing: had } of list.touched) {
      if (before === null) await takeOut(inner, courseId, after, now);
      else writeMember({ ...writing, accounts: new Map() }, before);
      const row = standing.rows.get(after.key);
      if (row !== undefined && had !== null) inner.assign(row, had);
    }
    inner.assign(list, { undoneAt: now, undoneBy: person.id });
    await inner.flush();
    await removeGroups(inner, loaded, list, person.id, now);
    await announce(inner, { course: courseId, seq: loaded.row.seq });
  });
}

function against(members: readonly RosterMember[]): Failure {
  return new Failure(
    'members_changed',
    `The list cannot be taken back: ${members.length === 1 ? 'somebody has' : `${members.length} people have`} changed since`,
    members.map((member) => ({
      path: 'members',
      value: calledOf(member) || member.address || member.key,
      expected: 'as the list left them',
    })),
  );
}

/** Whoever was added goes as if they had never been, unless they have left something: then they are off the course, and keep it. */
async function takeOut(
  em: EntityManager,
  courseId: string,
  { key, isPlace }: RosterMember,
  now: string,
): Promise<void> {
  const [{ left } = { left: true }] = await em.execute<{ left: boolean }[]>(
    `select exists (select 1 from visit where course_id = ? and person_id = ?)
       or exists (select 1 from deed where course_id = ? and person_id = ?)
       or exists (select 1 from work_draft where course_id = ? and person_id = ?)
       or exists (select 1 from hand_in_for where course_id = ? and person_id = ?)
       or exists (select 1 from quiz_attempt where course_id = ? and person_id = ?)
       or exists (select 1 from attendance where course_id = ? and person_id = ?)
       or exists (select 1 from post where course_id = ? and author_id = ?)
       or exists (select 1 from remark where course_id = ? and person_id = ?)
       or exists (select 1 from person_exception where course_id = ? and person_id = ?)
       or exists (select 1 from change where course_id = ? and author_id = ?) as left`,
    Array.from({ length: 10 }, () => [courseId, key]).flat(),
  );
  if (left) {
    em.assign(await em.findOneOrFail(MemberRow, { courseId, personId: key }), {
      leftAt: now,
      leftHow: 'removed',
    });
    return;
  }
  for (const row of await em.find(MemberGroupRow, { courseId, personId: key })) em.remove(row);
  em.remove(await em.findOneOrFail(MemberRow, { courseId, personId: key }));
  if (isPlace) em.remove(await em.findOneOrFail(PersonRow, { id: key }));
}

/** Classes and groups that the list made go again where nobody is in them, nothing names them, and nobody has changed them. */
async function removeGroups(
  em: EntityManager,
  loaded: LockedCourse,
  { made, courseId, id: listId }: MemberListRecord,
  author: string,
  now: string,
): Promise<void> {
  const used = new Set(
    (await em.find(MemberGroupRow, { courseId, groupId: { $in: made } })).map(({ groupId }) => groupId),
  );
  const { course } = loaded;
  const edits: Edit[] = made
    .filter((group) => course.groups[group] !== undefined && !used.has(group) && !isNamed(course, group))
    .map((group) => setTableEntry(course, 'groups', group, null));
  if (edits.length === 0) return;
  const applied = await makeOwnChange(em, loaded, { id: randomUUID(), edits, author, at: now });
  if (!applied.ok)
    throw new Error(`the classes of list ${listId} cannot be removed: ${applied.refusal.code}`);
  await em.flush();
}

/** Anywhere but in the table of groups itself. */
export function isNamed({ groups: _groups, ...rest }: Course, group: string): boolean {
  void _groups;
  return JSON.stringify(rest).includes(JSON.stringify(group));
}
