/** Whether somebody has done all that counts for them in a course. */
import type { Course } from '../course/schema.ts';
import { compileAccess, possibleRows } from './compile.ts';
import { ownPlan } from './resolve.ts';
import { NOTHING_DONE } from './roles.ts';
import type { Viewer } from './roles.ts';

/** Nothing counted is not completed: there is nothing that they could have done. */
export function isCompleted(course: Course, viewer: Viewer, moment: string): boolean {
  const { rows } = compileAccess(ownPlan(course, viewer, Date.parse(moment)));
  const { done } = viewer.deeds ?? NOTHING_DONE;
  const possible = possibleRows(rows, viewer.groups ?? []);
  const counted = rows.filter(({ counts }, at) => counts && possible[at] === true);
  return counted.length > 0 && counted.every(({ node }) => done.has(node.id));
}
