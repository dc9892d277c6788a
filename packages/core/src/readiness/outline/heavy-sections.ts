import { sectionLoads } from '../../forecast/load.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Sections that ask for more than the course's hours a week. Which work to move is a person's choice. */
export const heavySections: Rule = {
  id: 'heavy_sections',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ plan }) => {
    const heavy = sectionLoads(plan).filter(({ isHeavy }) => isHeavy);
    if (heavy.length === 0) return null;
    const most = heavy.reduce((high, load) => (load.minutes > high.minutes ? load : high));
    return {
      severity: 'advice',
      targets: heavy.map(({ id }) => id),
      values: { count: heavy.length, minutes: most.minutes, hours: plan.course.hoursAWeek ?? 0 },
    };
  },
};
