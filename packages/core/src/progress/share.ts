/** How much of what counts somebody has done (docs/semantics.md, Progress). */
import { compileAccess, possibleRows } from '../access/compile.ts';
import { NOTHING_DONE } from '../access/roles.ts';
import type { Viewer } from '../access/roles.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import type { Share } from '../views/home-view.ts';

/**
 * @param plan the plan of this person's own course.
 * @returns null when nothing is counted: that is no share, neither nothing nor all.
 */
export function shareOf(plan: CoursePlan, viewer: Viewer): Share | null {
  const { rows } = compileAccess(plan);
  const { done } = viewer.deeds ?? NOTHING_DONE;
  const possible = possibleRows(rows, viewer.groups ?? []);
  const counted = rows.filter(({ counts }, at) => counts && possible[at] === true);
  if (counted.length === 0) return null;
  return { done: counted.filter(({ node }) => done.has(node.id)).length, counted: counted.length };
}
