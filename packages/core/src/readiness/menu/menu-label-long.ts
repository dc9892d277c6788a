import { findNode } from '../../course/tree.ts';
import { offeredEntries } from '../../menu/offered.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Characters that two lines of a phone's bar hold, four entries beside each other. */
export const MOST_LABEL = 24;

/** A label that is cut off on a phone. A shorter one is for a person to find. */
export const menuLabelLong: Rule = {
  id: 'menu_label_long',
  stop: 'menu',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    const long = offeredEntries(course).flatMap(([id, { leads, names }]) => {
      const own = Object.values(names);
      const title = leads.to === 'item' ? findNode(course, leads.item)?.node.title : undefined;
      const labels = own.length > 0 ? own : [title ?? ''];
      const label = labels.find((one) => one.length > MOST_LABEL);
      return label === undefined ? [] : [{ id, label }];
    });
    const [first] = long;
    if (first === undefined) return null;
    return {
      severity: 'advice',
      field: `menu-${first.id}`,
      values: { count: long.length, label: first.label, length: first.label.length, most: MOST_LABEL },
    };
  },
};
