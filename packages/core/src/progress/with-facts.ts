/** Somebody in front of a course, with what they have done there. */
import type { Deeds, Viewer } from '../access/roles.ts';
import type { Course } from '../course/schema/schema.ts';
import type { Facts } from '../deeds/facts.ts';
import { countingOf } from './counting.ts';
import { deedsOf } from './progress.ts';
import { reckon } from './reckon.ts';

/**
 * By the rules as they are now, whatever it was done by.
 *
 * @param facts by item
 * @param at milliseconds since 1970-01-01T00:00Z
 */
export function withFacts(
  course: Course,
  viewer: Viewer,
  facts: ReadonlyMap<string, Facts>,
  courses: Deeds['courses'],
  at: number,
): Viewer {
  const counting = countingOf(course, viewer, at);
  return { ...viewer, deeds: { ...deedsOf(reckon(counting, facts), facts, courses), facts } };
}
