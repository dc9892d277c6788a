/** Whether somebody has done all that counts for them in a course. */
import type { Course } from '../course/schema/schema.ts';
import { shareOf } from './share.ts';
import { ownPlan } from '../access/resolve.ts';
import type { Viewer } from '../access/roles.ts';

/** Nothing counted is not completed: there is nothing that they could have done. */
export function isCompleted(course: Course, viewer: Viewer, moment: string): boolean {
  const share = shareOf(ownPlan(course, viewer, Date.parse(moment)), viewer);
  return share !== null && share.done === share.counted;
}
