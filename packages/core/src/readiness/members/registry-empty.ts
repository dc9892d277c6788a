import { wayIn } from '../../people/joining/of-course.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** The way from the registry is on, and the course follows none of its classes: nobody comes by it. */
export const registryEmpty: Rule = {
  id: 'registry_empty',
  stop: 'members',
  purposes: WITH_PEOPLE,
  find: ({ plan, door }) =>
    door !== null && door.registry === null && wayIn(plan, 'registry').on
      ? { severity: 'advice', field: 'ways', values: {} }
      : null,
};
