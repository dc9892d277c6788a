/** The rules of Look, in the order in which their findings are listed. */
import { coursePictureSilent } from './course-picture-silent.ts';
import type { Rule } from '../rule.ts';

export const LOOK_RULES: readonly Rule[] = [coursePictureSilent];
