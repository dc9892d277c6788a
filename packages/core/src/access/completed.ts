/** Whether somebody has done all that counts for them in a course. */
import type { Course } from '../course/schema.ts';
import { compileAccess, isInAudience } from './compile.ts';
import { ownPlan } from './resolve.ts';
import { NOTHING_DONE } from './roles.ts';
import type { Viewer } from './roles.ts';

/** Nothing counted is not completed: there is nothing that they could have done. */
export function isCompleted(course: Course, viewer: Viewer, moment: string): boolean {
  const { rows } = compileAccess(ownPlan(course, viewer, Date.parse(moment)));
  const { done } = viewer.deeds ?? NOTHING_DONE;
  const possible: boolean[] = [];
  let counted = 0;
  for (const [at, row] of rows.entries()) {
    const own = row.shut === null && isInAudience(row.audience, viewer.groups ?? []);
    possible[at] = own && (row.above < 0 || possible[row.above] === true);
    if (possible[at] !== true || !row.counts) continue;
    if (!done.has(row.node.id)) return false;
    counted += 1;
  }
  return counted > 0;
}
