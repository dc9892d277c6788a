import { setTableEntry } from '../../course/edits/making.ts';
import { SWITCHED_WAYS } from '../../course/schema/joining-schema.ts';
import { wayIn } from '../../people/joining/of-course.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Two that undo each other: whoever should ask comes in unasked by the code; a way has more seats than the course. */
export const waysContradict: Rule = {
  id: 'ways_contradict',
  stop: 'members',
  purposes: WITH_PEOPLE,
  find: ({ course, plan }) => {
    const link = wayIn(plan, 'link');
    if (link.on && link.domains === null && wayIn(plan, 'request').on) {
      return { severity: 'advice', field: 'ways' };
    }
    const wide = SWITCHED_WAYS.find((way) => {
      const { on, seats } = wayIn(plan, way);
      return on && seats !== null && course.seats !== null && seats > course.seats;
    });
    if (wide === undefined) return null;
    const own = wayIn(plan, wide);
    return {
      severity: 'advice',
      field: 'ways',
      values: { variant: 'seats', way: wide, own: own.seats ?? 0, seats: course.seats ?? 0 },
      cure: [setTableEntry(course, 'ways', wide, { ...own, seats: null })],
    };
  },
};
