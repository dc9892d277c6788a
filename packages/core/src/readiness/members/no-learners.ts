import type { Rule } from '../rule.ts';
import { WITH_LEARNERS } from '../rule.ts';

/** Nobody would see the course go live. Who to add is for a person to decide. */
export const noLearners: Rule = {
  id: 'no_learners',
  stop: 'members',
  purposes: WITH_LEARNERS,
  find: ({ learners }) => (learners === 0 ? { severity: 'advice' } : null),
};
