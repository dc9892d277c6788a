import { MAX_EDITS } from '../../course/edits/edits.ts';
import { conditionsOf } from '../../course/schema/progress-schema.ts';
import { livingSections, subtree } from '../../course/tree.ts';
import { WITH_PEOPLE } from '../rule.ts';
import type { Rule } from '../rule.ts';

/** A discussion in which nobody may post, and which is done by posting. The cure opens it. */
export const discussionShut: Rule = {
  id: 'discussion_shut',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    const wrong = livingSections(course)
      .flatMap((section) => subtree(section))
      .flatMap((node) => (node.kind === 'discussion' ? [node] : []))
      .filter(
        (one) =>
          one.shown &&
          !one.removed &&
          one.shut &&
          conditionsOf(one.done).some(({ by }) => by === 'posted' || by === 'replied'),
      );
    const [first] = wrong;
    if (first === undefined) return null;
    return {
      severity: 'advice',
      targets: wrong.map(({ id }) => id),
      values: { count: wrong.length, title: first.title },
      cure: wrong
        .slice(0, MAX_EDITS)
        .map(({ id }) => ({ kind: 'set', target: id, field: 'shut', value: false, was: true })),
    };
  },
};
