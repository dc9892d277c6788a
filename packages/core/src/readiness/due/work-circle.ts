import { MAX_EDITS } from '../../course/edits/edits.ts';
import { undatedWork } from './dated-work.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Due moments that are measured from each other in a circle: none of them has a date. */
export const workCircle: Rule = {
  id: 'work_circle',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ plan }) => {
    const circle = undatedWork(plan, ['circle']);
    if (circle.length === 0) return null;
    return {
      severity: 'blocker',
      targets: circle.map(({ id }) => id),
      values: { count: circle.length },
      cure: circle.slice(0, MAX_EDITS).map(({ id, due }) => ({
        kind: 'set',
        target: id,
        field: 'due',
        value: { kind: 'usual' },
        was: due,
      })),
    };
  },
};
