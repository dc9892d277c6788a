import { setEntry } from '../../menu/edits.ts';
import { offeredEntries } from '../../menu/offered.ts';
import { isEmptyPage } from '../../menu/resolve.ts';
import { findNode } from '../../course/tree.ts';
import type { Rule } from '../rule.ts';
import { EVERY_PURPOSE } from '../rule.ts';

/** An entry to an empty page, which learners therefore do not get. The cure removes it from the menu. */
export const menuEmptyPage: Rule = {
  id: 'menu_empty_page',
  stop: 'menu',
  purposes: EVERY_PURPOSE,
  find: ({ course }) => {
    const empty = offeredEntries(course).flatMap(([id, entry]) => {
      const node = entry.leads.to === 'item' ? findNode(course, entry.leads.item)?.node : undefined;
      return node !== undefined && node.kind !== 'section' && isEmptyPage(node) ? [{ id, entry, node }] : [];
    });
    const [first] = empty;
    if (first === undefined) return null;
    return {
      severity: 'advice',
      field: `menu-${first.id}`,
      targets: empty.map(({ node }) => node.id),
      values: { count: empty.length, entry: first.id },
      cure: empty.map(({ id, entry }) => setEntry(course, id, { ...entry, removed: true })),
    };
  },
};
