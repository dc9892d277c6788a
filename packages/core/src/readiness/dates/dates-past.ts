import { addDays, daysBetween, weekdayOnOrAfter } from '../../calendar/days.ts';
import { setDates } from '../../course/edits/making.ts';
import type { Edit } from '../../course/edits/edits.ts';
import type { Course } from '../../course/schema/schema.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/**
 * A draft whose dates are over was most likely copied with last term's dates: a blocker. One that has begun
 * is advice, since learners may well join a course that is under way. Only drafts are asked.
 */
export const datesPast: Rule = {
  id: 'dates_past',
  stop: 'dates',
  purposes: WITH_PEOPLE,
  find: ({ course, plan, today }) => {
    const { firstDay, lastDay } = plan;
    if (course.state !== 'draft' || firstDay === null || lastDay === null || firstDay >= today) return null;
    const moved = weekdayOnOrAfter(today, course.dates.weekStart);
    return {
      severity: lastDay < today ? 'blocker' : 'advice',
      field: 'firstDay',
      values: { firstDay, lastDay, moved, variant: lastDay < today ? 'over' : '' },
      cure: [setDates(course, 'firstDay', moved), ...lastDayAlong(course, firstDay, moved)],
    };
  },
};

/** A last day that is written down would come before the first: it keeps its distance. */
function lastDayAlong(course: Course, firstDay: string, moved: string): readonly Edit[] {
  const { lastDay, ends } = course.dates;
  if (lastDay === null || ends !== 'day' || lastDay >= moved) return [];
  const along = addDays(lastDay, daysBetween(firstDay, moved));
  return [setDates(course, 'lastDay', along)];
}
