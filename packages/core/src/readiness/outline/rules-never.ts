import { dueAfterEnd } from '../../access/analysis.ts';
import type { Never } from '../../access/analysis.ts';
import { findNode } from '../../course/tree.ts';
import { everyLearner } from '../every-learner.ts';
import type { Context, Rule } from '../rule.ts';
import { EVERY_PURPOSE } from '../rule.ts';

/** Items that no learner can ever reach, with the first reason; circles have a rule of their own. */
export const rulesNever: Rule = {
  id: 'rules_never',
  stop: 'outline',
  purposes: EVERY_PURPOSE,
  find: ({ course }) => {
    const never = everyLearner(course).never.filter(({ because }) => because !== 'circle');
    const [first] = never;
    return first === undefined ? null : { severity: 'blocker', ...said({ course }, first, never) };
  },
};

/** Waiting for work that is due when the course has closed: those who take their time never get there. */
export const rulesDueAfterEnd: Rule = {
  id: 'rules_due_after_end',
  stop: 'outline',
  purposes: EVERY_PURPOSE,
  find: ({ course, plan }) => {
    const late = dueAfterEnd(plan);
    const [first] = late;
    if (first === undefined) return null;
    const { targets, values } = said({ course }, first, late);
    return { severity: 'advice', targets, values: { ...values, variant: '' } };
  },
};

function said(
  { course }: Pick<Context, 'course'>,
  first: Never,
  all: readonly Never[],
): { targets: readonly string[]; values: Readonly<Record<string, string | number>> } {
  const titleOf = (id: string | undefined): string =>
    id === undefined ? '' : (findNode(course, id)?.node.title ?? '');
  return {
    targets: all.map(({ id }) => id),
    values: {
      variant: first.because === 'waits_for_never' ? '' : first.because,
      count: all.length,
      title: titleOf(first.id),
      waits: titleOf(first.waitsFor[0]),
    },
  };
}
