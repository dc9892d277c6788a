/** Where one learner stands, as they are told it, and as staff are told it of them. */
import type { AllProgressAnswer, ProgressAnswer } from '@itinerary/contract';
import { canSee, isThere, progressTold, standsAt } from '@itinerary/core';
import type { Course, Reached, Viewer } from '@itinerary/core';
import { MemberRow, ProgressRow } from '../../db/entities.ts';
import type { Person, ProgressRecord } from '../../db/entities.ts';
import { coursesWhere } from '../../db/kept-courses.ts';
import type { EntityManager } from '../../db/orm.ts';
import { viewersOf } from '../access/viewer.ts';
import { iso } from '../coursework/own-work.ts';
import { nothingHere } from '../nothing-here.ts';

/** @param forStaff all of it, whatever the course shows its learners */
export async function progressFor(
  em: EntityManager,
  course: Course,
  personId: string,
  viewer: Viewer,
  now: string,
  forStaff = false,
): Promise<ProgressAnswer> {
  const row = await em.findOne(ProgressRow, { courseId: course.id, personId });
  const told = progressTold(course, viewer, reachedIn(row), now, forStaff);
  if (told === null) throw nothingHere();
  return told;
}

const reachedIn = (row: Pick<ProgressRecord, 'reached'> | null | undefined): ReadonlyMap<string, Reached> =>
  new Map(Object.entries(row?.reached ?? {}));

/** How far one is in each course that one learns in, and that shows it. */
export async function allProgress(
  em: EntityManager,
  person: Person | null,
  now: string,
): Promise<AllProgressAnswer> {
  if (person === null) return { courses: [] };
  const rows = await em.find(MemberRow, { personId: person.id, role: 'learner', leftAt: null });
  const courses = (await coursesWhere(em, { id: { $in: rows.map(({ courseId }) => courseId) } })).filter(
    ({ progress, shareShown }) => progress && shareShown,
  );
  const viewer = await viewersOf(em, person, courses, now);
  const reached = new Map(
    (await em.find(ProgressRow, { personId: person.id, courseId: { $in: courses.map(({ id }) => id) } })).map(
      (row) => [row.courseId, reachedIn(row)],
    ),
  );
  const told: AllProgressAnswer['courses'][number][] = [];
  for (const course of courses) {
    const { counting, progress, access } = standsAt(course, viewer(course.id), reached.get(course.id), now);
    if (!isThere(access.course)) continue;
    if (progress.share.items === null) continue;
    const title = counting.items[counting.indexOf.get(progress.next ?? '') ?? -1]?.node.title;
    told.push({
      course: course.id,
      share: progress.share.items,
      since: iso(progress.since),
      behind: course.paceShown ? progress.behind.filter((id) => canSee(access.nodes.get(id))).length : 0,
      next: progress.next === null || title === undefined ? null : { id: progress.next, title },
    });
  }
  return { courses: told };
}
