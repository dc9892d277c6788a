import { isContent } from '../../course/schema/items-schema.ts';
import { livingSections, shownItems } from '../../course/tree.ts';
import type { Rule } from '../rule.ts';
import { EVERY_PURPOSE } from '../rule.ts';

/** Items that people outside the course can read: said, so that it is never so by accident. */
export const samplesShowing: Rule = {
  id: 'samples_showing',
  stop: 'access',
  purposes: EVERY_PURPOSE,
  find: ({ course }) => {
    const samples = livingSections(course)
      .flatMap((section) => shownItems(section))
      .filter((item) => isContent(item) && item.sample);
    const [first] = samples;
    if (first === undefined) return null;
    return {
      severity: 'advice',
      field: 'samples',
      targets: samples.map(({ id }) => id),
      values: { count: samples.length, title: first.title },
      cure: samples.map(({ id }) => ({
        kind: 'set' as const,
        target: id,
        field: 'sample',
        value: false,
        was: true,
      })),
    };
  },
};
