import { setEntry } from '../../menu/edits.ts';
import { offeredEntries, placeOf } from '../../menu/offered.ts';
import type { Rule } from '../rule.ts';
import { EVERY_PURPOSE } from '../rule.ts';

/** Two entries to one place. The cure removes the later ones; what they lead to is untouched. */
export const menuTwice: Rule = {
  id: 'menu_twice',
  stop: 'menu',
  purposes: EVERY_PURPOSE,
  find: ({ course }) => {
    const seen = new Set<string>();
    const later = offeredEntries(course).filter(([, entry]) => {
      const place = placeOf(entry);
      if (seen.has(place)) return true;
      seen.add(place);
      return false;
    });
    const [first] = later;
    if (first === undefined) return null;
    return {
      severity: 'advice',
      field: `menu-${first[0]}`,
      values: { count: later.length, entry: first[0] },
      cure: later.map(([id, entry]) => setEntry(course, id, { ...entry, removed: true })),
    };
  },
};
