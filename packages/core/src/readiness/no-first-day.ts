import type { Rule } from './rule.ts';
import { WITH_PEOPLE } from './rule.ts';

/** Week by week, together, needs a first day: nothing else has a date without it. */
export const noFirstDay: Rule = {
  id: 'no_first_day',
  stop: 'dates',
  purposes: WITH_PEOPLE,
  find: ({ course }) => (course.dates.firstDay === null ? { severity: 'blocker', field: 'firstDay' } : null),
};
