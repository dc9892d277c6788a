/** The rules of About, in the order in which their findings are listed. */
import { noDescription } from './no-description.ts';
import { outcomeUnassessed } from './outcome-unassessed.ts';
import { statedHours } from './stated-hours.ts';
import type { Rule } from '../rule.ts';

export const ABOUT_RULES: readonly Rule[] = [noDescription, statedHours, outcomeUnassessed];
