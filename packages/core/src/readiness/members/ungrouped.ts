import { allLivingItems, livingSections } from '../../course/tree.ts';
import type { Rule } from '../rule.ts';
import { WITH_LEARNERS } from '../rule.ts';

/** Where groups work apart, whoever is in none takes part in nothing of it. */
export const ungrouped: Rule = {
  id: 'ungrouped',
  stop: 'members',
  purposes: WITH_LEARNERS,
  find: ({ course, door }) => {
    if (door === null || door.ungrouped === 0) return null;
    const isApart =
      course.groupWork === 'apart' ||
      livingSections(course)
        .flatMap(allLivingItems)
        .some((item) => 'groupWork' in item && item.groupWork === 'apart');
    return isApart ? { severity: 'advice', field: 'members', values: { count: door.ungrouped } } : null;
  },
};
