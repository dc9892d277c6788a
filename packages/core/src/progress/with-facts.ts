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
 * @param before what they were done with before, as it was kept; nothing, where all that is known is what was done in items
 * @param at milliseconds since 1970-01-01T00:00Z
 */
export function withFacts(
  course: Course,
  viewer: Viewer,
  facts: ReadonlyMap<string, Facts>,
  courses: Deeds['courses'],
  at: number,
  before: Deeds['reached'] = new Map(),
): Viewer {
  const ledger = reckon(countingOf(course, viewer, at), facts, before);
  return { ...viewer, deeds: { ...deedsOf(ledger, facts, courses), facts, reached: ledger.reached } };
}
