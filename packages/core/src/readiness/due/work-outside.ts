import { MAX_EDITS } from '../../course/edits/edits.ts';
import { datedWork } from './dated-work.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Work due outside its section's days, or the course's. The cure gives it the usual hand-in time. */
export const workOutside: Rule = {
  id: 'work_outside',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ plan }) => {
    const outside = datedWork(plan).filter(({ section: { span }, due }) => {
      const [first, last] =
        span.kind === 'slot' ? [span.slot.first, span.slot.last] : [plan.firstDay, plan.lastDay];
      return (first !== null && due.day < first) || (last !== null && due.day > last);
    });
    const [first] = outside;
    if (first === undefined) return null;
    const placed = outside.filter(({ section: { span } }) => span.kind === 'slot').slice(0, MAX_EDITS);
    return {
      severity: 'advice',
      targets: outside.map(({ item }) => item.id),
      values: { count: outside.length, title: first.item.title, day: first.due.day },
      cure:
        placed.length < outside.length
          ? null
          : placed.map(({ item: { id, due } }) => ({
              kind: 'set',
              target: id,
              field: 'due',
              value: { kind: 'usual' },
              was: due,
            })),
    };
  },
};
