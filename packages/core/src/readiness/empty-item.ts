import { MAX_EDITS } from '../course/edits.ts';
import { livingItems, livingSections } from '../course/tree.ts';
import type { Rule } from './rule.ts';
import { WITH_PEOPLE } from './rule.ts';

/** A page without text, or a link that leads nowhere, in front of learners. The cure hides them. */
export const emptyItem: Rule = {
  id: 'empty_item',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    const empty = livingSections(course)
      .filter((section) => section.shown)
      .flatMap((section) => livingItems(section))
      .filter((item) => item.shown && (item.kind === 'page' ? item.text === null : item.address === null));
    if (empty.length === 0) return null;
    return {
      severity: 'advice',
      targets: empty.map(({ id }) => id),
      values: { count: empty.length },
      // What one change can hold; pressing again cures the rest.
      cure: empty
        .slice(0, MAX_EDITS)
        .map(({ id }) => ({ kind: 'set', target: id, field: 'shown', value: false, was: true })),
    };
  },
};
