/** Courses in the order in which something comes in them. Pure. */
import type { DeskCourse } from '@itinerary/contract';

/** What comes soonest first; courses in which nothing is ahead stay in their order after those. */
export function byDeparture(courses: readonly DeskCourse[]): readonly DeskCourse[] {
  const at = ({ next }: DeskCourse): number => (next === null ? Infinity : Date.parse(next.moment.instant));
  // Two in which nothing comes are as far from one another as two at one moment.
  return [...courses].sort((a, b) => (at(a) === at(b) ? 0 : at(a) - at(b)));
}
