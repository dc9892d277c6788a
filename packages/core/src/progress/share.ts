/** How much of what counts somebody has done (docs/semantics.md, Progress). */
import { NOTHING_DONE } from '../access/roles.ts';
import type { Viewer } from '../access/roles.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import type { Share } from '../views/home-view.ts';
import { countingFor } from './counting.ts';
import { sharesOf } from './progress.ts';

/**
 * @param plan the plan of this person's own course.
 * @returns null when nothing is counted: that is no share, neither nothing nor all.
 */
export function shareOf(plan: CoursePlan, viewer: Viewer): Share | null {
  const { done } = viewer.deeds ?? NOTHING_DONE;
  return sharesOf(countingFor(plan, viewer.groups ?? []).items, ({ id }) => done.has(id)).items;
}
