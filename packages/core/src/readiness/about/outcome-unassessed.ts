import { listOutcomes } from '../../forecast/outcomes.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** An outcome that no work assesses: nobody will know whether it was reached. */
export const outcomeUnassessed: Rule = {
  id: 'outcome_unassessed',
  stop: 'about',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    const open = listOutcomes(course).filter(({ assessedBy }) => assessedBy.length === 0);
    const [first] = open;
    if (first === undefined) return null;
    return { severity: 'advice', field: 'outcomes', values: { count: open.length, outcome: first.text } };
  },
};
