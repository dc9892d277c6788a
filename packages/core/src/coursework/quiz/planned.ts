/** The questions of a quiz as the course holds them, and as they are judged. */
import type { Quiz } from '../../course/schema/items-schema.ts';
import { questionSchema } from '../../course/schema/coursework/quiz-schema.ts';
import type { PlannedQuestion } from '../../course/schema/coursework/quiz-schema.ts';
import { Bounded } from '../../course/bounded.ts';
import type { DeepReadonly } from '../../course/schema/readonly.ts';
import type { WrittenQuestion } from './notation.ts';
import { exactly, over, plus, rational, sumOf, toNumber, ZERO } from './rational.ts';
import type { Rational } from './rational.ts';

/** A question of a quiz, with its id in the table. */
export type AskedQuestion = DeepReadonly<PlannedQuestion> & { readonly id: string };
type WithQuestions = DeepReadonly<Pick<Quiz, 'questions' | 'pools'>>;

/** In their order. */
export function questionsOf(quiz: Pick<WithQuestions, 'questions'>): readonly AskedQuestion[] {
  return Object.entries(quiz.questions)
    .map(([id, question]): AskedQuestion => ({ ...question, id }))
    .sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
}

/** What was typed as a question, as the course holds it; null: there is more of it than fits. */
export function planned(written: WrittenQuestion, at: number): PlannedQuestion | null {
  const { id: _id, ...rest } = written;
  void _id;
  return questionSchema.safeParse({ ...rest, at }).data ?? null;
}

/** Ids of the questions of each pool of which anything is drawn; a pool that is gone draws nothing. */
export function pooled(quiz: WithQuestions): ReadonlyMap<string, readonly AskedQuestion[]> {
  const all = questionsOf(quiz);
  return new Map(
    Object.keys(quiz.pools).map((pool) => [pool, all.filter((question) => question.pool === pool)]),
  );
}

/** Everybody gets it: it is in no pool that there is. */
export const isFixed = ({ pool }: AskedQuestion, quiz: WithQuestions): boolean =>
  pool === null || !Object.hasOwn(quiz.pools, pool);

export interface Worth {
  /** Points that can be reached at most. */
  readonly points: number;
  /** How many questions an attempt has. */
  readonly asked: number;
  /** Pools whose questions give unlike points, so that attempts are worth unlike sums. */
  readonly uneven: readonly string[];
}

/** What a quiz gives at most: of a pool, those questions that give most. */
export function worthOf(quiz: WithQuestions): Worth {
  const fixed = questionsOf(quiz).filter((question) => isFixed(question, quiz));
  let points: Rational = sumOf(fixed.map((one) => exactly(one.points)));
  let asked = fixed.length;
  const uneven: string[] = [];
  for (const [pool, questions] of pooled(quiz)) {
    const draws = Math.min(quiz.pools[pool]?.draws ?? 0, questions.length);
    const each = questions.map((one) => one.points).sort((a, b) => b - a);
    points = plus(points, sumOf(each.slice(0, draws).map(exactly)));
    asked += draws;
    if (draws < questions.length && new Set(each).size > 1) uneven.push(pool);
  }
  return { points: toNumber(points), asked, uneven };
}

/** Of a question's points; where it gives none, none. */
export const shareOfPoints = (points: number, most: number): Rational =>
  most === 0 ? ZERO : over(exactly(points), exactly(most));

/** As it is kept: numerator and denominator. */
export function written(share: Rational): string {
  const known = names.get(share);
  if (known !== undefined) return known;
  const name = `${share.n}/${share.d}`;
  names.set(share, name);
  return name;
}
/** What most answers come to is the same few fractions. */
const names = new WeakMap<Rational, string>();
const shares = new Bounded<Rational>(1000);
/** @throws SyntaxError where it is none */
export function readShare(text: string): Rational {
  const known = shares.get(text);
  if (known !== undefined) return known;
  const [n = '', d = ''] = text.split('/');
  const share = rational(BigInt(n), BigInt(d));
  shares.set(text, share);
  return share;
}
