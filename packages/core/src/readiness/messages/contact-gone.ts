import type { Edit } from '../../course/edits/edits.ts';
import type { Rule } from '../rule.ts';
import { EVERY_PURPOSE } from '../rule.ts';

/** A card of somebody who is not on the course's staff: nobody is shown it. The cure takes it away. */
export const contactGone: Rule = {
  id: 'contact_gone',
  stop: 'messages',
  purposes: EVERY_PURPOSE,
  find: ({ course, face }) => {
    if (face === null) return null;
    const gone = Object.entries(course.contacts).filter(
      ([, card]) => card.who === 'staff' && !face.staff.some(({ id }) => id === card.person),
    );
    if (gone.length === 0) return null;
    return {
      severity: 'advice',
      field: 'contacts',
      values: { count: gone.length },
      cure: gone.map(([id, card]): Edit => ({
        kind: 'set',
        target: course.id,
        field: `contacts.${id}`,
        value: null,
        was: card,
      })),
    };
  },
};
