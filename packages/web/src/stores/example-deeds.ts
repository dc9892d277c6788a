/** What an example learner has done: nothing, the first half of what counts, or all of it. */
import { livingSections, NOTHING_DONE, shownItems, singles, subtree } from '@itinerary/core';
import type { Course, Deeds } from '@itinerary/core';

export const PROGRESS = ['nothing', 'half', 'everything'] as const;
export type Progress = (typeof PROGRESS)[number];

export function exampleDeeds(course: Course, progress: Progress): Deeds {
  if (progress === 'nothing') return NOTHING_DONE;
  const counted = livingSections(course)
    .flatMap((section) => shownItems(section))
    .filter((item) => 'done' in item && item.done !== null)
    .map(({ id }) => id);
  const some = progress === 'half' ? counted.slice(0, Math.ceil(counted.length / 2)) : counted;
  const courses = course.sections
    .flatMap((section) => subtree(section))
    .flatMap(({ rule }) => (rule === null ? [] : singles(rule.when)))
    .flatMap((one) => (one.kind === 'course' ? [one.course] : []));
  return {
    done: new Set(some),
    scores: new Map(some.map((id) => [id, 100])),
    courses: new Set(progress === 'everything' ? courses : []),
  };
}
