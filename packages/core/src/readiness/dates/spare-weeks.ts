import { planSections } from '../../calendar/plan.ts';
import type { Course } from '../../course/schema/schema.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

function fitsExactly(course: Course, field: 'weeks' | 'meetings', value: number): boolean {
  const { spare, unplaced } = planSections({ ...course, dates: { ...course.dates, [field]: value } });
  return spare.length === 0 && unplaced.length === 0;
}

/**
 * Weeks or meetings that no section takes stand empty in everybody's calendar. The cure ends the course
 * earlier.
 */
export const spareWeeks: Rule = {
  id: 'spare_weeks',
  stop: 'dates',
  purposes: WITH_PEOPLE,
  find: ({ course, plan }) => {
    const first = plan.spare[0];
    if (first === undefined) return null;
    const { format, ends } = course.dates;
    const field = format === 'meetings' ? 'meetings' : 'weeks';
    const was = course.dates[field];
    // Meetings that were cancelled or added are slots too, so that a count cannot simply be taken off.
    const filled = format === 'meetings' ? was - plan.spare.length : first.number - 1;
    const isFilled = ends === 'weeks' && filled > 0 && fitsExactly(course, field, filled);
    return {
      severity: 'advice',
      field,
      values: {
        count: plan.spare.length,
        first: first.number,
        filled,
        variant: format === 'meetings' ? 'meetings' : '',
      },
      cure: isFilled
        ? [{ kind: 'set', target: course.id, field: `dates.${field}`, value: filled, was }]
        : null,
    };
  },
};
