import { isContent } from '../../course/schema/items-schema.ts';
import { isForLearners, livingSections, shownItems } from '../../course/tree.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** A shown section with nothing to read or do in it reads as unfinished. The cure hides such sections. */
export const emptySection: Rule = {
  id: 'empty_section',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    const shown = livingSections(course).filter((section) => isForLearners(section));
    const empty = shown.filter((section) => !shownItems(section).some(isContent));
    // When all are empty, `no_item` says so once; around one item nobody sees the others.
    const isSaid = empty.length === 0 || empty.length === shown.length || course.dates.format === 'item';
    if (isSaid) return null;
    return {
      severity: 'advice',
      targets: empty.map(({ id }) => id),
      values: { count: empty.length },
      cure: empty.map(({ id }) => ({ kind: 'set', target: id, field: 'shown', value: false, was: true })),
    };
  },
};
