import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Without a description nobody can tell from outside what the course is about. */
export const noDescription: Rule = {
  id: 'no_description',
  stop: 'about',
  purposes: WITH_PEOPLE,
  find: ({ course }) => (course.description === null ? { severity: 'advice', field: 'description' } : null),
};
