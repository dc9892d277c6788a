/** The rules of Access, in the order in which their findings are listed. */
import { closedBeforeDue } from './closed-before-due.ts';
import { groupWorkWithout } from './group-work-without.ts';
import { groupsMissing } from './groups-missing.ts';
import { nothingOpen } from './nothing-open.ts';
import { liveTooLate, nothingToLookAt } from './nothing-to-look-at.ts';
import { samplesShowing } from './samples-showing.ts';
import { passphraseEasy, visitorsLost } from './visitors-lost.ts';
import type { Rule } from '../rule.ts';

export const ACCESS_RULES: readonly Rule[] = [
  nothingOpen,
  nothingToLookAt,
  closedBeforeDue,
  liveTooLate,
  visitorsLost,
  passphraseEasy,
  samplesShowing,
  groupsMissing,
  groupWorkWithout,
];
