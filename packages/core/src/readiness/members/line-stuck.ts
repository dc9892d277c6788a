import { setTableEntry } from '../../course/edits/making.ts';
import { SWITCHED_WAYS } from '../../course/schema/joining-schema.ts';
import { wayIn, wayOf } from '../../people/joining/of-course.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** People wait by a way that is off or over: no free seat is ever offered to them. */
export const lineStuck: Rule = {
  id: 'line_stuck',
  stop: 'members',
  purposes: WITH_PEOPLE,
  find: ({ course, plan, door, at }) => {
    for (const { way: kind, count } of door?.waiting ?? []) {
      const way = SWITCHED_WAYS.find((one) => one === kind);
      if (way === undefined || count === 0) continue;
      const { isOn, window } = wayOf(plan, way);
      const isOver = window.closes !== null && at >= window.closes;
      if (isOn && !isOver) continue;
      const cure = { ...wayIn(plan, way), on: true, ...(isOver ? { closes: null } : {}) };
      return {
        severity: 'advice',
        field: 'ways',
        values: { variant: isOn ? 'over' : '', way, count },
        cure: [setTableEntry(course, 'ways', way, cure)],
      };
    }
    return null;
  },
};
