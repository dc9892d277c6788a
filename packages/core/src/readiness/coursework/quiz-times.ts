/** Time limits that nobody can keep, and attempts for which there is no time. */
import { momentsOf } from '../../calendar/course-plan.ts';
import { endOf } from '../../calendar/moments.ts';
import { handInWindow } from '../../coursework/window.ts';
import type { Quiz } from '../../course/schema/items-schema.ts';
import type { Context } from '../rule.ts';
import { takenRule } from './taken.ts';

const MINUTE_MS = 60_000;

/** Whole minutes from its opening to its end, where both are planned; null: it is not known how many. */
function minutesOpen(quiz: Quiz, { plan }: Context): number | null {
  const moments = momentsOf(plan, quiz.id);
  const { takenTo } = handInWindow(moments, quiz.grace);
  const until = moments.until?.kind === 'at' ? endOf(moments.until) : null;
  const ends = [takenTo, until].filter((end) => end !== null);
  if (moments.opens?.kind !== 'at' || ends.length === 0) return null;
  return Math.floor((Math.min(...ends) - moments.opens.instant) / MINUTE_MS);
}

/** Less time than it is expected to take. The cure gives as much as is expected. */
export const limitTooShort = takenRule('limit_too_short', ['quiz'], {
  isWrong: ({ limit, minutes }) => limit !== null && minutes !== null && minutes > limit,
  values: ({ limit, minutes }) => ({ limit: limit ?? 0, minutes: minutes ?? 0 }),
  cure: { field: 'limit', cured: ({ minutes }) => minutes },
});

/** More time than it is open. The cure gives as much as it is open. */
export const limitBeyondOpening = takenRule('limit_beyond_opening', ['quiz'], {
  isWrong: (quiz, context) => {
    const open = minutesOpen(quiz, context);
    return quiz.limit !== null && open !== null && open >= 1 && quiz.limit > open;
  },
  values: (quiz, context) => ({ limit: quiz.limit ?? 0, open: minutesOpen(quiz, context) ?? 0 }),
  cure: { field: 'limit', cured: (quiz, context) => minutesOpen(quiz, context) },
});

/** The waits between attempts leave no time for all of them. The cure takes the wait off. */
export const noTimeBetween = takenRule('no_time_between', ['quiz'], {
  isWrong: (quiz, context) => {
    const open = minutesOpen(quiz, context);
    const tries = quiz.tries ?? 1;
    return open !== null && quiz.wait > 0 && tries > 1 && (tries - 1) * quiz.wait >= open;
  },
  values: (quiz, context) => ({
    tries: quiz.tries ?? 0,
    wait: quiz.wait,
    open: minutesOpen(quiz, context) ?? 0,
  }),
  cure: { field: 'wait', cured: () => 0 },
});
