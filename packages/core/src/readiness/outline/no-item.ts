import { isContent } from '../../course/schema/items-schema.ts';
import { livingSections, shownItems } from '../../course/tree.ts';
import type { Rule } from '../rule.ts';
import { EVERY_PURPOSE } from '../rule.ts';

/** A course in which nothing is shown has nothing to open for. */
export const noItem: Rule = {
  id: 'no_item',
  stop: 'outline',
  purposes: EVERY_PURPOSE,
  find: ({ course }) => {
    const shown = livingSections(course).some((section) => shownItems(section).some(isContent));
    return shown ? null : { severity: 'blocker' };
  },
};
