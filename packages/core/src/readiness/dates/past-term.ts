import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** The course needs longer than its term is. Which of the two to change is a person's choice. */
export const pastTerm: Rule = {
  id: 'past_term',
  stop: 'dates',
  purposes: WITH_PEOPLE,
  find: ({ plan: { lastDay, slots }, term }) => {
    if (term === null || lastDay === null || lastDay <= term.lastDay) return null;
    return {
      severity: 'advice',
      field: 'length',
      values: { lastDay, termEnds: term.lastDay, term: term.name, count: slots.length },
    };
  },
};
