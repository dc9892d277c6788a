/** The rules of Progress, in the order in which their findings are listed. */
import type { Rule } from '../rule.ts';
import { cannotFinish } from './cannot-finish.ts';
import {
  allDueAtOnce,
  countedUnlisted,
  countsOtherwiseStated,
  nothingCounted,
  sectionCannotGive,
} from './counting.ts';

export const PROGRESS_RULES: readonly Rule[] = [
  nothingCounted,
  cannotFinish,
  sectionCannotGive,
  countedUnlisted,
  allDueAtOnce,
  countsOtherwiseStated,
];
