import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Units that run past the course's last day. The cure lets the course end with its last unit. */
export const pastLastDay: Rule = {
  id: 'past_last_day',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ course, plan }) => {
    const { lastDay, ends } = course.dates;
    if (lastDay === null || ends === 'weeks' || lastDay !== plan.lastDay) return null;
    const past = plan.sections.filter(({ span }) => span.kind === 'slot' && span.slot.last > lastDay);
    if (past.length === 0) return null;
    const needs = plan.slots.reduce((late, { last }) => (last > late ? last : late), lastDay);
    return {
      severity: 'blocker',
      targets: past.map(({ id }) => id),
      values: { count: past.length, lastDay, needs },
      cure: [
        { kind: 'set', target: course.id, field: 'dates.lastDay', value: needs, was: lastDay },
        { kind: 'set', target: course.id, field: 'dates.ends', value: 'day', was: ends },
      ],
    };
  },
};
