import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Dates that leave not one day to teach: a pause that covers the course, or a last day before any teaching day. */
export const noDays: Rule = {
  id: 'no_days',
  stop: 'dates',
  purposes: WITH_PEOPLE,
  find: ({ course: { dates }, plan }) => {
    const { firstDay, lastDay, format, pace, ends } = dates;
    const hasCalendar = format === 'meetings' || (format === 'weeks' && pace === 'together');
    const isReversed = ends !== 'weeks' && firstDay !== null && lastDay !== null && lastDay < firstDay;
    const hasMeetings = format !== 'meetings' || Object.keys(dates.patterns).length > 0;
    const isAsked = hasCalendar && firstDay !== null && !isReversed && hasMeetings;
    return isAsked && plan.slots.length === 0
      ? { severity: 'blocker', field: 'pauses', values: { firstDay } }
      : null;
  },
};
