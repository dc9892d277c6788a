import { totalMinutes } from '../../forecast/load.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** A quarter more or less is what people's pace differs by anyhow. */
const TOLERANCE = 0.25;

export const wholeHours = (minutes: number): number => Math.max(1, Math.round(minutes / 60));
export const isNear = (hours: number, stated: number): boolean =>
  Math.abs(hours - stated) <= stated * TOLERANCE;

/** The course promises so many hours, and its items add up to something else. The cure promises what they do. */
export const statedHours: Rule = {
  id: 'stated_hours',
  stop: 'about',
  purposes: WITH_PEOPLE,
  find: ({ course, plan }) => {
    const { statedHours: stated } = course;
    const minutes = totalMinutes(plan);
    if (stated === null || minutes === 0) return null;
    const hours = wholeHours(minutes);
    if (isNear(hours, stated)) return null;
    return {
      severity: 'advice',
      field: 'statedHours',
      values: { stated, hours },
      cure: [{ kind: 'set', target: course.id, field: 'statedHours', value: hours, was: stated }],
    };
  },
};
