/** Which announcements stand for somebody who reads a course. */
import { announcementsAt, isReadable, ownPlan, resolveAccess } from '@itinerary/core';
import type { Course, DatedAnnouncement, Viewer } from '@itinerary/core';
import type { Person } from '../../db/entities.ts';
import { nothingHere } from '../nothing-here.ts';

export interface Reader {
  readonly viewer: Viewer;
  readonly person: Person | null;
}

/** Those that stand for this reader; nothing at all where the area is switched off. */
export function standing(course: Course, viewer: Viewer, now: string): readonly DatedAnnouncement[] {
  const at = Date.parse(now);
  const plan = ownPlan(course, viewer, at);
  const isThere = isReadable(resolveAccess(course, viewer, now, plan).course.state);
  return isThere && course.areas['announcements'] !== 'off' ? announcementsAt(plan, at) : [];
}

/** One that stands for this reader. */
export function standingOne(course: Course, viewer: Viewer, id: string, now: string): DatedAnnouncement {
  const one = standing(course, viewer, now).find((standing) => standing.id === id);
  if (one === undefined) throw nothingHere();
  return one;
}
