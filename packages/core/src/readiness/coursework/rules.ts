/** The rules of what is handed in, which is settled in Outline, in the order in which their findings are listed. */
import { discussionShut } from './discussion-shut.ts';
import { chapterBeyond, filmSilent, watchUnnoticed } from './films.ts';
import { largestBeyond } from './largest-beyond.ts';
import { lateBeforeDue } from './late-before-due.ts';
import { attendanceUnnoticed, meetingNowhere, surveyAsksNothing, surveyTooFew } from './meetings.ts';
import { passOutOfReach } from './pass-out-of-reach.ts';
import {
  choiceUnseen,
  noQuestions,
  pointsUnlikeTotal,
  poolUneven,
  questionUnanswerable,
} from './questions.ts';
import { limitBeyondOpening, limitTooShort, noTimeBetween } from './quiz-times.ts';
import { takesNothing } from './takes-nothing.ts';
import type { Rule } from '../rule.ts';

export const WORK_RULES: readonly Rule[] = [
  takesNothing,
  noQuestions,
  questionUnanswerable,
  choiceUnseen,
  poolUneven,
  lateBeforeDue,
  passOutOfReach,
  pointsUnlikeTotal,
  limitBeyondOpening,
  limitTooShort,
  noTimeBetween,
  largestBeyond,
  discussionShut,
  filmSilent,
  watchUnnoticed,
  chapterBeyond,
  meetingNowhere,
  attendanceUnnoticed,
  surveyAsksNothing,
  surveyTooFew,
];
