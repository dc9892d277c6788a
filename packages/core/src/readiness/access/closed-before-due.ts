import { boundsOf } from '../../access/window.ts';
import { datedWork } from '../due/dated-work.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Work due after the course has closed for learners: nobody could hand it in. The cure leaves the course open. */
export const closedBeforeDue: Rule = {
  id: 'closed_before_due',
  stop: 'access',
  purposes: WITH_PEOPLE,
  find: ({ course, plan }) => {
    const { closesAt } = boundsOf(plan);
    const { after } = course.window;
    if (closesAt === null || after === 'open') return null;
    const late = datedWork(plan).filter(({ due }) => due.instant >= closesAt);
    const [first] = late;
    if (first === undefined) return null;
    return {
      severity: 'advice',
      field: 'window',
      targets: late.map(({ item }) => item.id),
      values: { count: late.length, title: first.item.title, day: first.due.day },
      cure: [
        {
          kind: 'set',
          target: course.id,
          field: 'window',
          value: { ...course.window, after: 'open' },
          was: course.window,
        },
      ],
    };
  },
};
