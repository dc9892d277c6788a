import { datedWork } from './dated-work.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Work due on a weekday that its section does not contain: the nearest day inside was taken. */
export const workNoSuchWeekday: Rule = {
  id: 'work_no_such_weekday',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ plan }) => {
    const moved = datedWork(plan).filter(({ due }) => due.nearest);
    const [first] = moved;
    if (first === undefined) return null;
    return {
      severity: 'advice',
      targets: moved.map(({ item }) => item.id),
      values: { count: moved.length, title: first.item.title, day: first.due.day },
    };
  },
};
