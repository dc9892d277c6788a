import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Pinned units that begin before the one before them has ended, or even before it begins. */
export const unitOverlap: Rule = {
  id: 'unit_overlap',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ course, plan }) => {
    if (course.dates.format !== 'units') return null;
    const placed = plan.sections.flatMap(({ section, span }) =>
      span.kind === 'slot' ? [{ section, slot: span.slot }] : [],
    );
    const over = placed.filter(({ slot }, at) => {
      const before = placed[at - 1]?.slot;
      return before !== undefined && slot.first <= before.last;
    });
    if (over.length === 0) return null;
    return {
      severity: 'advice',
      targets: over.map(({ section }) => section.id),
      values: { count: over.length },
      cure: over.map(({ section: { id, pin } }) => ({
        kind: 'set',
        target: id,
        field: 'pin',
        value: null,
        was: pin,
      })),
    };
  },
};
