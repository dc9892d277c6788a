/** The rules of who is on the course, in the order in which their findings are listed. */
import { noLearners } from './no-learners.ts';
import { seatsShort } from './seats-short.ts';
import { wayNever } from './way-never.ts';
import type { Rule } from '../rule.ts';

export const MEMBERS_RULES: readonly Rule[] = [noLearners, seatsShort, wayNever];
