import { weekdayOnOrAfter } from '../../calendar/days.ts';
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
      values: { firstDay, lastDay, moved, over: lastDay < today ? 1 : 0 },
      cure: [{ kind: 'set', target: course.id, field: 'dates.firstDay', value: moved, was: firstDay }],
    };
  },
};
