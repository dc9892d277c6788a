import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Together, nothing has a date without a first day: weeks, meetings, units. */
export const noFirstDay: Rule = {
  id: 'no_first_day',
  stop: 'dates',
  purposes: WITH_PEOPLE,
  find: ({ course: { dates } }) => {
    const needsOne = dates.format === 'meetings' || (dates.pace === 'together' && dates.format !== 'item');
    return needsOne && dates.firstDay === null ? { severity: 'blocker', field: 'firstDay' } : null;
  },
};
