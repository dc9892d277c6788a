import { MAX_EDITS } from '../../course/edits/edits.ts';
import type { Item } from '../../course/schema/items-schema.ts';
import { traitsOf } from '../../course/schema/kinds.ts';
import { livingSections, shownItems } from '../../course/tree.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** A meeting says enough by its time, a heading by itself; hiding a folder would hide what is in it. */
function isEmpty(item: Item): boolean {
  const { emptyWithout } = traitsOf(item);
  const has = item as Readonly<Partial<Record<(typeof emptyWithout)[number], unknown>>>;
  return emptyWithout.length > 0 && emptyWithout.every((field) => (has[field] ?? null) === null);
}

/** A page without text, a link that leads nowhere, a file that is not there. The cure hides them. */
export const emptyItem: Rule = {
  id: 'empty_item',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    const empty = livingSections(course)
      .flatMap((section) => shownItems(section))
      .filter((item) => isEmpty(item));
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
