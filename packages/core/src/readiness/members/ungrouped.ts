import type { Rule } from '../rule.ts';
import { WITH_LEARNERS } from '../rule.ts';
import { worksApart } from './works-apart.ts';

/** Where groups work apart, whoever is in none takes part in nothing of it. */
export const ungrouped: Rule = {
  id: 'ungrouped',
  stop: 'members',
  purposes: WITH_LEARNERS,
  find: ({ course, door }) =>
    door !== null && door.ungrouped > 0 && worksApart(course)
      ? { severity: 'advice', field: 'members', values: { count: door.ungrouped } }
      : null,
};
