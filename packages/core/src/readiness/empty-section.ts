import { livingItems, livingSections } from '../course/tree.ts';
import type { Rule } from './rule.ts';
import { WITH_PEOPLE } from './rule.ts';

/** A shown section with nothing shown in it reads as unfinished. The cure hides such sections. */
export const emptySection: Rule = {
  id: 'empty_section',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    const shown = livingSections(course).filter((section) => section.shown);
    const empty = shown.filter((section) => !livingItems(section).some((item) => item.shown));
    // When all are empty, `no_item` says so once.
    if (empty.length === 0 || empty.length === shown.length) return null;
    return {
      severity: 'advice',
      targets: empty.map(({ id }) => id),
      values: { count: empty.length },
      cure: empty.map(({ id }) => ({ kind: 'set', target: id, field: 'shown', value: false, was: true })),
    };
  },
};
