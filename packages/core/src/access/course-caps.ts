/** The layers that a whole course has: its state, who may find it and come in, and its dates. */
import type { CoursePlan } from '../calendar/course-plan.ts';
import type { Outside } from '../course/schema/access-schema.ts';
import type { Course } from '../course/schema/schema.ts';
import type { AccessState, Answer } from './answer.ts';
import { instantOf } from '../calendar/local-instant.ts';
import { mayPlan } from './roles.ts';
import type { Viewer } from './roles.ts';
import { boundsOf } from './window.ts';

const OUTSIDE: Readonly<Record<Outside, AccessState>> = { closed: 'named', look: 'look', open: 'open' };

/** When a draft goes live by itself, in milliseconds since 1970-01-01T00:00Z; null: it does not. */
export function goesLiveAt(course: Course): number | null {
  return course.goesLive === null ? null : instantOf(course, course.goesLive);
}

/** The state that a course has at an instant: a draft goes live by itself at the moment that was set. */
export function stateAt(course: Course, at: number): Course['state'] {
  if (course.state !== 'draft') return course.state;
  const live = goesLiveAt(course);
  return live !== null && at >= live ? 'live' : 'draft';
}

/** Whether somebody who is not in the course can find it. */
export function isFindable({ find }: Course, { here = false }: Viewer): boolean {
  return find === 'anyone' || (find === 'here' && here);
}

/** What somebody without a role in the course gets by the ways in that it has. */
function wayIn(course: Course, viewer: Viewer): Answer {
  if (!isFindable(course, viewer)) return { state: 'absent', because: 'not_a_member' };
  const mayLook =
    course.visitors === 'anyone' || (course.visitors === 'passphrase' && viewer.passphrase === true);
  if (mayLook) return { state: 'look', because: 'visitor' };
  return { state: 'named', because: course.visitors === 'passphrase' ? 'passphrase_wanted' : 'not_a_member' };
}

/** What its dates make of a course at an instant: null, where they keep nothing from anybody. */
export function windowCap(course: Course, plan: CoursePlan, at: number): Answer | null {
  const { opensAt, closesAt } = boundsOf(plan);
  const { before, after } = course.window;
  if (opensAt !== null && at < opensAt) return { state: OUTSIDE[before], because: 'before_dates', opensAt };
  if (closesAt !== null && at >= closesAt) return { state: OUTSIDE[after], because: 'after_dates' };
  return null;
}

/** In the order of the layers; those that let everything through are left out. */
export function capsOfCourse(
  course: Course,
  plan: CoursePlan,
  viewer: Viewer,
  at: number,
): readonly Answer[] {
  const caps: Answer[] = [];
  const staff = mayPlan(viewer);
  const state = stateAt(course, at);
  if (state === 'draft' && !staff) {
    const live = goesLiveAt(course);
    caps.push({ state: 'absent', because: 'course_draft', ...(live === null ? {} : { opensAt: live }) });
  }
  if (state === 'archived') caps.push({ state: 'look', because: 'course_archived' });
  if (staff) return caps;
  if (viewer.role === null) caps.push(wayIn(course, viewer));
  if (viewer.role === 'visitor') caps.push({ state: 'look', because: 'visitor' });
  const window = windowCap(course, plan, at);
  // A window that leaves everything open decides nothing.
  if (window !== null && window.state !== 'open') caps.push(window);
  return caps;
}
