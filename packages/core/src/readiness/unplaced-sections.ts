import { MAX_WEEKS } from '../course/schema.ts';
import type { Rule } from './rule.ts';
import { WITH_PEOPLE } from './rule.ts';

/** Sections beyond the last week have no days. The cure makes the course as many weeks long as needed. */
export const unplacedSections: Rule = {
  id: 'unplaced_sections',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ course, plan }) => {
    if (plan.unplaced.length === 0 || plan.weeks.length === 0) return null;
    const { weeks } = course.dates;
    const needed = weeks + plan.unplaced.length;
    return {
      severity: 'blocker',
      targets: plan.unplaced,
      values: { count: plan.unplaced.length, weeks, needed },
      cure:
        needed > MAX_WEEKS
          ? null
          : [{ kind: 'set', target: course.id, field: 'dates.weeks', value: needed, was: weeks }],
    };
  },
};
