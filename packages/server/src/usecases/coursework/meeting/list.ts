/** The list of who was at a meeting: said by staff, one or all at once, each built on what stood there. */
import { randomBytes } from 'node:crypto';
import type { AttendanceAnswer, SayAttended } from '@itinerary/contract';
import { isAttending, ownPlan, byName } from '@itinerary/core';
import type { Course } from '@itinerary/core';
import { codeOf } from '@itinerary/core/people';
import { AttendanceCodeRow, AttendanceRow, PersonRow } from '../../../db/entities.ts';
import { underCourse } from '../../../db/locks.ts';
import type { EntityManager } from '../../../db/orm.ts';
import { Failure } from '../../failure.ts';
import { groupsAmong, listedMembers } from '../../members/members.ts';
import { learnersOf } from '../../progress/learners.ts';
import { record } from '../../progress/record.ts';
import { takenWork } from '../taken-work.ts';
import { MEETING_CODE_LENGTH, timesOf, toldTimes } from './going.ts';

const CODE_MS = 10 * 60_000;
const STAFF = { role: 'instructor', institutionStaff: false } as const;

export async function attendance(
  em: EntityManager,
  course: Course,
  itemId: string,
  now: string,
): Promise<AttendanceAnswer> {
  const node = takenWork(course, itemId, 'meeting', now);
  const courseId = course.id;
  const rows = await em.find(AttendanceRow, { courseId, itemId });
  const by = new Map(rows.map((row) => [row.personId, row]));
  const sayers = await em.find(PersonRow, { id: { $in: rows.flatMap(({ by: who }) => who ?? []) } });
  const names = new Map(sayers.map(({ id, name }) => [id, name]));
  const learners = (await listedMembers(em, courseId)).filter(({ role }) => role === 'learner');
  const code = await em.findOne(AttendanceCodeRow, { courseId, itemId });
  return {
    ...toldTimes(timesOf(ownPlan(course, STAFF, Date.parse(now)), node, now), course.dates.zone),
    item: { id: node.id, title: node.title },
    attendance: node.attendance,
    people: learners
      .map(({ person, name, groups }) => {
        const row = by.get(person);
        return {
          person,
          name,
          groups: [...groups],
          attended: row?.attended ?? null,
          by: row?.by == null ? null : (names.get(row.by) ?? null),
          byCode: row !== undefined && row.by == null,
          at: row?.at ?? null,
        };
      })
      .sort((a, b) => byName(a.name, b.name)),
    groups: groupsAmong(course, learners),
    code: code === null || code.until <= now ? null : { code: code.code, until: code.until },
    now,
  };
}

/** All of it, or none. @throws Failure `changed_elsewhere` where somebody has said something else meanwhile, `bad_input` for who does not learn here */
export async function sayAttended(
  em: EntityManager,
  course: Course,
  itemId: string,
  { people }: SayAttended,
  by: string,
  now: string,
): Promise<void> {
  takenWork(course, itemId, 'meeting', now);
  const courseId = course.id;
  await em.transactional(async (inner) => {
    await inner.execute('select pg_advisory_xact_lock(hashtextextended(?, 5))', [`${courseId} ${itemId}`]);
    const ids = people.map(({ person }) => person);
    const learners = new Set(
      (await listedMembers(inner, courseId, ids))
        .filter(({ role }) => role === 'learner')
        .map(({ person }) => person),
    );
    const stranger = ids.find((id) => !learners.has(id));
    if (stranger !== undefined) {
      throw new Failure('bad_input', 'Somebody of them does not learn here', [
        { path: 'people', value: stranger, expected: 'learners of this course' },
      ]);
    }
    const rows = new Map(
      (await inner.find(AttendanceRow, { courseId, itemId, personId: { $in: ids } })).map((row) => [
        row.personId,
        row,
      ]),
    );
    const wasThere = new Set(
      [...rows].filter(([, row]) => isAttending(row.attended)).map(([person]) => person),
    );
    for (const { person, attended, was } of people) {
      const row = rows.get(person);
      if ((row?.attended ?? null) !== was) {
        throw new Failure('changed_elsewhere', 'Somebody has said something else of one of them meanwhile', [
          { path: 'people', value: person, expected: row?.attended ?? 'nothing' },
        ]);
      }
      if (attended === null) {
        if (row !== undefined) inner.remove(row);
      } else if (row === undefined) {
        inner.persist(
          inner.create(AttendanceRow, { courseId, itemId, personId: person, attended, by, at: now }),
        );
      } else inner.assign(row, { attended, by, at: now });
    }
    await inner.flush();
    const viewers = await learnersOf(inner, course, ids);
    // In one order everywhere, so that nobody waits for one who waits for them.
    for (const { person, attended } of [...people].sort((a, b) => (a.person < b.person ? -1 : 1))) {
      const viewer = viewers.get(person);
      const isThere = isAttending(attended);
      if (viewer === undefined || isThere === wasThere.has(person)) continue;
      const deed = { kind: isThere ? 'attended' : 'absent' } as const;
      await record(inner, course, { personId: person, viewer }, itemId, deed, now);
    }
  });
}

/** The one before is over in the same moment. */
export async function newMeetingCode(
  em: EntityManager,
  course: Course,
  itemId: string,
  id: string,
  now: string,
): Promise<void> {
  const node = takenWork(course, itemId, 'meeting', now);
  if (node.attendance !== 'code') {
    throw new Failure('cannot_hand_in', 'No codes are taken in this meeting', [
      {
        path: 'item',
        value: node.attendance,
        expected: 'a meeting in which learners say by a code that they are there',
      },
    ]);
  }
  const key = { courseId: course.id, itemId };
  await underCourse(em, course.id, async (inner) => {
    const before = await inner.findOne(AttendanceCodeRow, key);
    if (before?.id === id) return;
    const code = codeOf(randomBytes(MEETING_CODE_LENGTH));
    const until = new Date(Date.parse(now) + CODE_MS).toISOString();
    await inner.upsert(AttendanceCodeRow, { ...key, id, code, until });
  });
}
