import { datedWork } from './dated-work.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Work due at a time that a clock change removes or doubles: people will ask which is meant. */
export const workAtClockChange: Rule = {
  id: 'work_at_clock_change',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ plan }) => {
    const odd = datedWork(plan).filter(({ due }) => due.clock !== 'plain');
    const [first] = odd;
    if (first === undefined) return null;
    const { day, time, clock } = first.due;
    return {
      severity: 'advice',
      targets: odd.map(({ item }) => item.id),
      values: {
        count: odd.length,
        title: first.item.title,
        day,
        time: time ?? '',
        variant: clock === 'fold' ? 'twice' : '',
      },
    };
  },
};
