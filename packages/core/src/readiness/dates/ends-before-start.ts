import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** A last day before the first: over before it begins. Which of the two is wrong is not ours to say. */
export const endsBeforeStart: Rule = {
  id: 'ends_before_start',
  stop: 'dates',
  purposes: WITH_PEOPLE,
  find: ({ course: { dates } }) => {
    const { firstDay, lastDay, ends } = dates;
    if (ends === 'weeks' || firstDay === null || lastDay === null || lastDay >= firstDay) return null;
    return { severity: 'blocker', field: 'lastDay', values: { firstDay, lastDay } };
  },
};
