import { MAX_EDITS } from '../../course/edits/edits.ts';
import { undatedWork } from './dated-work.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Work due by something that has no date. Where a date is needed none is guessed. */
export const workUndated: Rule = {
  id: 'work_undated',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ course, plan }) => {
    const { firstDay, pace } = course.dates;
    // Without a first day another rule has said why; by a clock of one's own, each learner has a date.
    const isSaid = pace === 'joining' || (firstDay === null && pace === 'together');
    const undated = undatedWork(plan, isSaid ? ['missing'] : ['anchor', 'missing']);
    if (undated.length === 0) return null;
    return {
      severity: 'advice',
      targets: undated.map(({ id }) => id),
      values: { count: undated.length },
      cure: undated
        .slice(0, MAX_EDITS)
        .map(({ id, due }) => ({ kind: 'set', target: id, field: 'due', value: null, was: due })),
    };
  },
};
