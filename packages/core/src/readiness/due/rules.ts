/** The rules of work and its due moments, which is settled in Outline, in the order in which their findings are listed. */
import { workAtClockChange } from './work-at-clock-change.ts';
import { workBeforeOpening } from './work-before-opening.ts';
import { workCircle } from './work-circle.ts';
import { workInPause } from './work-in-pause.ts';
import { workNoSuchWeekday } from './work-no-such-weekday.ts';
import { workOutside } from './work-outside.ts';
import { workSameNight } from './work-same-night.ts';
import { workUndated } from './work-undated.ts';
import type { Rule } from '../rule.ts';

export const DUE_RULES: readonly Rule[] = [
  workUndated,
  workCircle,
  workOutside,
  workInPause,
  workAtClockChange,
  workBeforeOpening,
  workSameNight,
  workNoSuchWeekday,
];
