import { datedWork } from './dated-work.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Two pieces of work due on one day: one of them will be done badly. */
export const workSameNight: Rule = {
  id: 'work_same_night',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ plan }) => {
    const byDay = new Map<string, string[]>();
    for (const { item, due } of datedWork(plan)) {
      byDay.set(due.day, [...(byDay.get(due.day) ?? []), item.id]);
    }
    const crowded = [...byDay].filter(([, ids]) => ids.length > 1).sort(([a], [b]) => (a < b ? -1 : 1));
    const [first] = crowded;
    if (first === undefined) return null;
    return {
      severity: 'advice',
      targets: crowded.flatMap(([, ids]) => ids),
      values: { count: crowded.length, day: first[0], works: first[1].length },
    };
  },
};
