/** The rules of Outline, in the order in which their findings are listed. */
import { emptyItem } from './empty-item.ts';
import { emptySection } from './empty-section.ts';
import { heavySections } from './heavy-sections.ts';
import { largestUpload } from './largest-upload.ts';
import { linkGone } from './link-gone.ts';
import { noItem } from './no-item.ts';
import { pastLastDay } from './past-last-day.ts';
import { pictureAlt } from './picture-alt.ts';
import { rulesCircle } from './rules-circle.ts';
import { rulesDueAfterEnd, rulesNever } from './rules-never.ts';
import { typedNumbers } from './typed-numbers.ts';
import { unitOverlap } from './unit-overlap.ts';
import { unplacedSections } from './unplaced-sections.ts';
import { DUE_RULES } from '../due/rules.ts';
import { WORK_RULES } from '../coursework/rules.ts';
import type { Rule } from '../rule.ts';

export const OUTLINE_RULES: readonly Rule[] = [
  unplacedSections,
  pastLastDay,
  unitOverlap,
  noItem,
  emptySection,
  emptyItem,
  typedNumbers,
  linkGone,
  ...DUE_RULES,
  ...WORK_RULES,
  rulesCircle,
  rulesNever,
  rulesDueAfterEnd,
  heavySections,
  largestUpload,
  pictureAlt,
];
