import { SWITCHED_WAYS } from '../../course/schema/joining-schema.ts';
import { wayIn } from '../../people/joining/of-course.ts';
import type { Rule } from '../rule.ts';
import { WITH_LEARNERS } from '../rule.ts';

/** Nobody would see the course go live, and nobody can come. Who to add is for a person to decide. */
export const noLearners: Rule = {
  id: 'no_learners',
  stop: 'members',
  purposes: WITH_LEARNERS,
  find: ({ learners, plan }) =>
    learners === 0 && SWITCHED_WAYS.every((way) => !wayIn(plan, way).on) ? { severity: 'advice' } : null,
};
