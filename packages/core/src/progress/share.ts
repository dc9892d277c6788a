/** How much of what counts somebody has done (docs/semantics.md, Progress). */
import { NOTHING_DONE } from '../access/roles.ts';
import type { Viewer } from '../access/roles.ts';
import { accessAt } from '../access/resolve.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import type { Course } from '../course/schema/schema.ts';
import type { Share } from '../views/home-view.ts';
import { countingFor } from './counting.ts';
import { openNext, sharesOf } from './progress.ts';

/**
 * @param plan the plan of this person's own course.
 * @returns null when nothing is counted: that is no share, neither nothing nor all.
 */
export function shareOf(plan: CoursePlan, viewer: Viewer): Share | null {
  const { done } = viewer.deeds ?? NOTHING_DONE;
  return sharesOf(countingFor(plan, viewer.groups ?? []).items, ({ id }) => done.has(id)).items;
}

/**
 * What is to be done next, by its id and title; null: nothing can be now.
 *
 * @param at milliseconds since 1970-01-01T00:00Z
 * @param plan the plan of this person's own course
 */
export function nextOf(
  course: Course,
  viewer: Viewer,
  at: number,
  plan: CoursePlan,
): { readonly id: string; readonly title: string } | null {
  const { done } = viewer.deeds ?? NOTHING_DONE;
  const { nodes } = accessAt(course, viewer, at, plan);
  const next = openNext(countingFor(plan, viewer.groups ?? []).items, ({ id }) => done.has(id), nodes);
  return next === null ? null : { id: next.id, title: next.node.title };
}
