/** The moments at which something changes for whoever is looked as, and the days that the timeline spans. */
import { accessTimeline, addDays, isReadable, onceLive } from '@itinerary/core';
import type { AccessMoment, Course, CoursePlan, Viewer } from '@itinerary/core';
import { dayIn } from '../../words/dates.ts';
import { daysOf } from '../preview/marker.ts';

export interface Change {
  /** Milliseconds since 1970-01-01T00:00Z. */
  readonly at: number;
  /** Days in the course's zone. */
  readonly day: string;
  /** How many parts can be read from then on that could not before, and the other way round. */
  readonly opening: number;
  readonly closing: number;
  readonly moment: AccessMoment;
}

export function changesFor(course: Course, viewer: Viewer, hint: CoursePlan | null): readonly Change[] {
  return accessTimeline(onceLive(course), viewer, hint).map((moment) => {
    const opening = moment.changes.filter(({ from, to }) => !isReadable(from) && isReadable(to.state));
    const closing = moment.changes.filter(({ from, to }) => isReadable(from) && !isReadable(to.state));
    return {
      at: moment.at,
      day: dayIn(new Date(moment.at).toISOString(), course.dates.zone),
      opening: opening.length,
      closing: closing.length,
      moment,
    };
  });
}

/** No more than this before the first day and after the last is drawn, however far off a change may lie. */
const MOST_OUTSIDE = 60;
/** So much room is left before the first day and after the last, where a course may be closed, or only be looked at. */
const ROOM = 7;

/** The course's days, a week before and after them, and as many more as the changes ask for. */
export function spanOf(
  plan: CoursePlan | null,
  changes: readonly Change[],
): { readonly first: string; readonly last: string } | null {
  const days = daysOf(plan);
  if (days === null) return null;
  const all = changes.map(({ day }) => day);
  const earliest = all.filter((day) => day < days.first && day >= addDays(days.first, -MOST_OUTSIDE))[0];
  const latest = all.filter((day) => day > days.last && day <= addDays(days.last, MOST_OUTSIDE)).at(-1);
  return {
    first: addDays(earliest ?? days.first, -ROOM),
    last: addDays(latest ?? days.last, ROOM),
  };
}
