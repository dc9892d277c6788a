import { datedWork } from './dated-work.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Work due on a paused day: nobody is there to ask. */
export const workInPause: Rule = {
  id: 'work_in_pause',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ plan }) => {
    const pauses = Object.values(plan.course.dates.pauses);
    const paused = datedWork(plan).flatMap(({ item, due }) => {
      const pause = pauses.find(({ first, last }) => first <= due.day && due.day <= last);
      return pause === undefined ? [] : [{ item, day: due.day, pause: pause.name }];
    });
    const [first] = paused;
    if (first === undefined) return null;
    return {
      severity: 'advice',
      targets: paused.map(({ item }) => item.id),
      values: { count: paused.length, title: first.item.title, day: first.day, pause: first.pause },
    };
  },
};
