/** The rules of Dates & format, in the order in which their findings are listed. */
import { aroundMissing } from './around-missing.ts';
import { datesPast } from './dates-past.ts';
import { endsBeforeStart } from './ends-before-start.ts';
import { meetingPace } from './meeting-pace.ts';
import { midWeek } from './mid-week.ts';
import { noDays } from './no-days.ts';
import { noFirstDay } from './no-first-day.ts';
import { noPattern } from './no-pattern.ts';
import { pastTerm } from './past-term.ts';
import { spareWeeks } from './spare-weeks.ts';
import type { Rule } from '../rule.ts';

export const DATES_RULES: readonly Rule[] = [
  noFirstDay,
  midWeek,
  datesPast,
  endsBeforeStart,
  noPattern,
  noDays,
  meetingPace,
  aroundMissing,
  pastTerm,
  spareWeeks,
];
