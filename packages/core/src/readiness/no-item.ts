import { livingItems, livingSections } from '../course/tree.ts';
import type { Rule } from './rule.ts';
import { EVERY_PURPOSE } from './rule.ts';

/** A course in which nothing is shown has nothing to open for. */
export const noItem: Rule = {
  id: 'no_item',
  stop: 'outline',
  purposes: EVERY_PURPOSE,
  find: ({ course }) => {
    const shown = livingSections(course).some(
      (section) => section.shown && livingItems(section).some((item) => item.shown),
    );
    return shown ? null : { severity: 'blocker' };
  },
};
