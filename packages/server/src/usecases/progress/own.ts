/** Where one learner stands, as they are told it, and as staff are told it of them. */
import type { AllProgressAnswer, ProgressAnswer } from '@itinerary/contract';
import { canSee, isThere, progressTold, standsAt } from '@itinerary/core';
import type { Course, Viewer } from '@itinerary/core';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { coursesAndViewers } from '../access/viewer.ts';
import { iso } from '../coursework/own-work.ts';
import { nothingHere } from '../nothing-here.ts';
import { goOnFor } from './go-on.ts';

/** @param forStaff all of it, whatever the course shows its learners */
export async function progressFor(
  em: EntityManager,
  course: Course,
  person: Person | null,
  viewer: Viewer,
  now: string,
  forStaff = false,
): Promise<ProgressAnswer> {
  const told = progressTold(course, viewer, now, forStaff);
  if (told === null) throw nothingHere();
  return { ...told, goOn: await goOnFor(em, person, told.goOn, now) };
}

/** How far one is in each course that one learns in, and that shows it. */
export async function allProgress(
  em: EntityManager,
  person: Person | null,
  now: string,
): Promise<AllProgressAnswer> {
  if (person === null) return { courses: [] };
  const courses = await coursesAndViewers(
    em,
    person,
    now,
    ({ progress, shareShown }, role) => role === 'learner' && progress && shareShown,
  );
  const told: AllProgressAnswer['courses'][number][] = [];
  for (const { course, viewer } of courses) {
    const { counting, progress, access } = standsAt(course, viewer, now);
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
