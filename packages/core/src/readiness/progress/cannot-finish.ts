import { ANY_LEARNER } from '../../access/roles.ts';
import type { Edit } from '../../course/edits/edits.ts';
import type { Course } from '../../course/schema/schema.ts';
import { findNode } from '../../course/tree.ts';
import { cureOfAll } from '../../progress/cures.ts';
import { reasonsWhyNot } from '../../progress/reasons.ts';
import type { Reason } from '../../progress/reasons.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

interface Found {
  readonly reasons: readonly Reason[];
  readonly cure: readonly Edit[] | null;
}
const found = new WeakMap<Course, Found>();

/** Not even a learner who is in every group, and does everything, finishes the course. The cure cures all of it. */
export const cannotFinish: Rule = {
  id: 'cannot_finish',
  stop: 'progress',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    if (!course.progress) return null;
    const everybody = { ...ANY_LEARNER, groups: Object.keys(course.groups) };
    let known = found.get(course);
    if (known === undefined) {
      const reasons = reasonsWhyNot(course, everybody);
      found.set(
        course,
        (known = { reasons, cure: reasons.length === 0 ? null : cureOfAll(course, everybody) }),
      );
    }
    const { reasons } = known;
    const [first] = reasons;
    if (first === undefined) return null;
    return {
      severity: 'advice',
      targets: reasons.map(({ of }) => of).filter((id) => id !== course.id),
      values: { count: reasons.length, title: findNode(course, first.of)?.node.title ?? course.title },
      cure: known.cure,
    };
  },
};
