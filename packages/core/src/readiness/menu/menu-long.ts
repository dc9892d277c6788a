import { offeredEntries } from '../../menu/offered.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** What people take in at a glance, without counting; beyond it a menu is read, and not looked at. */
export const MOST_ENTRIES = 8;

export const menuLong: Rule = {
  id: 'menu_long',
  stop: 'menu',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    const count = offeredEntries(course).length;
    return count <= MOST_ENTRIES
      ? null
      : { severity: 'advice', field: 'menu', values: { count, most: MOST_ENTRIES } };
  },
};
