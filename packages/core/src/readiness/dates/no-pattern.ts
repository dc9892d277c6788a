import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Meetings make the sections: without a pattern or an added meeting there are none. */
export const noPattern: Rule = {
  id: 'no_pattern',
  stop: 'dates',
  purposes: WITH_PEOPLE,
  find: ({ course: { dates } }) => {
    const hasAdded = Object.values(dates.changes).some(({ kind }) => kind === 'added');
    const isMissing = Object.keys(dates.patterns).length === 0 && !hasAdded;
    return dates.format === 'meetings' && isMissing ? { severity: 'blocker', field: 'patterns' } : null;
  },
};
