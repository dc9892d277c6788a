/** The rules of who is on the course, in the order in which their findings are listed. */
import { noLearners } from './no-learners.ts';
import type { Rule } from '../rule.ts';

export const MEMBERS_RULES: readonly Rule[] = [noLearners];
