import { nearestWeekday, weekdayOf } from '../../calendar/days.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/**
 * A first day in mid-week makes every section straddle two weeks, unless week 1 is meant to be short. The cure
 * moves it to the nearest start.
 */
export const midWeek: Rule = {
  id: 'mid_week',
  stop: 'dates',
  purposes: WITH_PEOPLE,
  find: ({ course, plan }) => {
    const { firstDay, weekStart, offWeek } = course.dates;
    if (!plan.midWeek || firstDay === null || offWeek !== 'falls') return null;
    const moved = nearestWeekday(firstDay, weekStart);
    return {
      severity: 'advice',
      field: 'firstDay',
      values: { firstDay, weekday: weekdayOf(firstDay), weekStart, moved },
      cure: [{ kind: 'set', target: course.id, field: 'dates.firstDay', value: moved, was: firstDay }],
    };
  },
};
