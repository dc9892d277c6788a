import type { Rule } from './rule.ts';
import { WITH_PEOPLE } from './rule.ts';

/** Weeks that no section takes stand empty in everybody's calendar. The cure ends the course earlier. */
export const spareWeeks: Rule = {
  id: 'spare_weeks',
  stop: 'dates',
  purposes: WITH_PEOPLE,
  find: ({ course, plan }) => {
    const first = plan.spare[0];
    if (first === undefined) return null;
    const { weeks } = course.dates;
    const filled = weeks - plan.spare.length;
    return {
      severity: 'advice',
      field: 'weeks',
      values: { count: plan.spare.length, first: first.number, weeks, filled },
      cure:
        filled === 0
          ? null
          : [{ kind: 'set', target: course.id, field: 'dates.weeks', value: filled, was: weeks }],
    };
  },
};
