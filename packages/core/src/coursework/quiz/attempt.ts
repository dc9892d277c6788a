/** An attempt: when it may be begun, when it ends, and what comes of it. Instants are milliseconds. */
import type { Quiz } from '../../course/schema/items-schema.ts';
import type { DeepReadonly } from '../../course/schema/readonly.ts';
import type { HandInWindow } from '../window.ts';
import { judge, resultOf } from './judge.ts';
import type { AttemptResult, Counts } from './judge.ts';
import { readShare, written } from './planned.ts';
import type { Question, QuestionAnswer } from './question.ts';
import { compared, exactly, largest, ONE, over, rational, sumOf, times, ZERO } from './rational.ts';
import { Sum } from './sum.ts';
import type { Rational } from './rational.ts';

const MINUTE_MS = 60_000;

interface Ends {
  /** Minutes; null: none. */
  readonly limit: number | null;
  /** How much more time this person has: 1.5 is half as much again. */
  readonly factor: number;
  /** The first instant at which the item is not open to them any more; null: none. */
  readonly shutAt: number | null;
  readonly takenTo: number | null;
}

/** @returns the first instant at which an answer is refused; null: it ends when it is handed in */
export function attemptEnd(begun: number, { limit, factor, shutAt, takenTo }: Ends): number | null {
  const ends = [
    // Rounded up to a millisecond; exact, since a factor of 1.1 is eleven tenths.
    limit === null ? null : begun + ceiling(times(exactly(limit * MINUTE_MS), exactly(factor))),
    shutAt,
    takenTo,
  ].filter((end) => end !== null);
  return ends.length === 0 ? null : Math.min(...ends);
}

const ceiling = ({ n, d }: Rational): number => Number((n + d - 1n) / d);

export type BeginFault =
  | { readonly code: 'over' | 'under_way' | 'no_questions' }
  | { readonly code: 'no_tries'; readonly tries: number }
  /** Not before `from`. */
  | { readonly code: 'wait'; readonly from: number };

/** Where nobody has said how often: more than anybody needs, so that nobody fills the disk. */
const MOST_ATTEMPTS = 100;

interface Begun {
  /** Null: it is under way. */
  readonly ended: number | null;
}

/** @param attempts those that have been begun, in their order */
export function beginFault(
  quiz: DeepReadonly<Pick<Quiz, 'tries' | 'wait'>> & { readonly asked: number },
  attempts: readonly Begun[],
  { takenTo }: Pick<HandInWindow, 'takenTo'>,
  now: number,
): BeginFault | null {
  if (attempts.some(({ ended }) => ended === null)) return { code: 'under_way' };
  if (quiz.asked === 0) return { code: 'no_questions' };
  if (takenTo !== null && now >= takenTo) return { code: 'over' };
  const tries = quiz.tries ?? MOST_ATTEMPTS;
  if (attempts.length >= tries) return { code: 'no_tries', tries };
  const last = Math.max(...attempts.map(({ ended }) => ended ?? 0), 0);
  const from = last + quiz.wait * MINUTE_MS;
  return attempts.length > 0 && now < from ? { code: 'wait', from } : null;
}

/** What an answer came to, as it is kept: judged once, when the attempt ends, and anew when staff say so. */
export interface JudgedAnswer {
  readonly question: string;
  readonly points: number;
  /** Numerator and denominator. */
  readonly share: string;
  readonly isOpen: boolean;
  readonly isUnanswered: boolean;
}

const NOTHING = { share: ZERO, isOpen: false, isUnanswered: true };

/** @param questions those that the attempt asks and that are still there */
export function judgeAttempt(
  questions: readonly Question[],
  answers: ReadonlyMap<string, QuestionAnswer>,
): readonly JudgedAnswer[] {
  return questions.map((question) => {
    const answer = answers.get(question.id);
    // An answer to what the question was before it was made another kind says nothing any more.
    const fits = answer !== undefined && answer.kind === question.kind;
    const { share, isOpen, isUnanswered } = fits ? judge(question, answer) : NOTHING;
    return { question: question.id, points: question.points, share: written(share), isOpen, isUnanswered };
  });
}

/**
 * Judged anew after a question has been mended: no answer's share is lowered by it, and questions that were taken out count
 * no more.
 */
export function judgeAnew(
  before: readonly JudgedAnswer[],
  questions: readonly Question[],
  answers: ReadonlyMap<string, QuestionAnswer>,
): readonly JudgedAnswer[] {
  const had = new Map(before.map((one) => [one.question, one]));
  return judgeAttempt(questions, answers).map((now) => {
    const was = had.get(now.question);
    if (was === undefined) return now;
    const share = largest(readShare(was.share), readShare(now.share));
    return { ...now, share: written(share), isUnanswered: was.isUnanswered && now.isUnanswered };
  });
}

export interface AttemptPoints extends AttemptResult {
  /** On the quiz's scale: its own total, or what this attempt's questions come to. */
  readonly points: Rational;
}

/** @param marked by question, the share that staff have given; it goes before what was judged */
export function resultOfJudged(
  judged: readonly JudgedAnswer[],
  marked: ReadonlyMap<string, string>,
  total: number | null,
): AttemptPoints {
  const isMarked = (one: JudgedAnswer): boolean => !one.isUnanswered && marked.has(one.question);
  const worth = new Sum();
  const reached = new Sum();
  for (const one of judged) {
    worth.add(one.points, ONE);
    const share = isMarked(one) ? (marked.get(one.question) as string) : one.share;
    reached.add(one.points, readShare(share));
  }
  return resultFrom(
    judged.every((one) => !one.isOpen || isMarked(one)),
    worth.whole(),
    reached.whole(),
    total,
  );
}

function resultFrom(
  isFinal: boolean,
  worth: Rational,
  reached: Rational,
  total: number | null,
): AttemptPoints {
  const share = compared(worth, ZERO) === 0 ? null : over(reached, worth);
  return {
    share,
    points: total === null || share === null ? reached : times(share, exactly(total)),
    isFinal,
  };
}

export interface QuizStanding extends AttemptPoints {
  /** Null: nothing has to be reached, or it is not known yet. */
  readonly hasPassed: boolean | null;
}

/** What all attempts of somebody come to. @param attempts those that have ended, in the order in which they began */
export function standingOf(
  attempts: readonly AttemptPoints[],
  { counts, passAt }: DeepReadonly<Pick<Quiz, 'counts' | 'passAt'>>,
): QuizStanding {
  const { share, isFinal } = resultOf(attempts, counts);
  const counted = attempts.filter((one) => one.share !== null);
  const points = pointsIn(counted, share, counts);
  const isKnown = isFinal && share !== null && passAt !== null;
  return { share, isFinal, points, hasPassed: isKnown ? compared(points, exactly(passAt)) >= 0 : null };
}

/** Attempts can be worth unlike sums, so that a share alone does not say how many points it is. */
function pointsIn(counted: readonly AttemptPoints[], share: Rational | null, counts: Counts): Rational {
  if (share === null) return ZERO;
  const all = counted.map(({ points }) => points);
  if (counts === 'average') return over(sumOf(all), rational(all.length));
  if (counts === 'last') return all.at(-1) ?? ZERO;
  return counted
    .filter((one) => one.share !== null && compared(one.share, share) === 0)
    .map(({ points }) => points)
    .reduce(largest, ZERO);
}
