/** When what is open to somebody is not open any more. */
import { endOf } from '../calendar/moments.ts';
import { momentsOf } from '../calendar/course-plan.ts';
import type { Course } from '../course/schema/schema.ts';
import { findNode } from '../course/tree.ts';
import { ownCourse } from './own-course.ts';
import { ownPlan } from './resolve.ts';
import type { Viewer } from './roles.ts';
import { boundsOf } from './window.ts';

/**
 * @param at milliseconds since 1970-01-01T00:00Z
 * @returns the first instant after the item's own *until*, that of what it stands in, or the course's last day for this
 * person, whichever comes first; null: it has none of these
 */
export function shutsAt(course: Course, viewer: Viewer, id: string, at: number): number | null {
  const own = ownCourse(course, viewer, at);
  const place = findNode(own, id);
  if (place === null) return null;
  const plan = ownPlan(course, viewer, at);
  const untils = [...place.above, place.node].flatMap((node) => {
    const { until } = momentsOf(plan, node.id);
    return until?.kind === 'at' ? [endOf(until)] : [];
  });
  const closes = own.window.after === 'open' ? null : boundsOf(plan).closesAt;
  const ends = closes === null ? untils : [...untils, closes];
  return ends.length === 0 ? null : Math.min(...ends);
}
