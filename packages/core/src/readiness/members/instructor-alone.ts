import type { Rule } from '../rule.ts';
import { WITH_LEARNERS } from '../rule.ts';

/** From so many learners on nobody else being there is worth a word: an illness stops everything. */
const MANY = 40;

export const instructorAlone: Rule = {
  id: 'instructor_alone',
  stop: 'members',
  purposes: WITH_LEARNERS,
  find: ({ door, learners }) =>
    door !== null && door.instructors === 1 && learners >= MANY
      ? { severity: 'advice', field: 'members', values: { learners } }
      : null,
};
