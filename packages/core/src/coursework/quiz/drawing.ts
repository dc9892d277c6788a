/**
 * What an attempt asks, and in which order: it follows from the attempt's id alone, so that the same attempt is always the
 * same (docs/semantics.md, Work).
 */
import type { Quiz } from '../../course/schema/items-schema.ts';
import type { DeepReadonly } from '../../course/schema/readonly.ts';
import { hashed } from '../../course/hashed.ts';
import { isFixed, pooled, questionsOf } from './planned.ts';

/** By the rank that each gets from the seed and its own name: taking one away leaves the order of the others. */
export function shuffled<T>(all: readonly T[], seed: string, nameOf: (one: T) => string): readonly T[] {
  return all
    .map((one, at) => ({ one, at, rank: hashed(`${seed} ${nameOf(one)}`) }))
    .sort((a, b) => a.rank - b.rank || a.at - b.at)
    .map(({ one }) => one);
}

/** @returns ids of the questions that the attempt asks, in its order */
export function drawn(
  quiz: DeepReadonly<Pick<Quiz, 'questions' | 'pools' | 'shuffleQuestions'>>,
  attempt: string,
): readonly string[] {
  const chosen = new Set<string>();
  for (const [pool, questions] of pooled(quiz)) {
    const draws = quiz.pools[pool]?.draws ?? 0;
    for (const { id } of shuffled(questions, `${attempt} ${pool}`, (one) => one.id).slice(0, draws))
      chosen.add(id);
  }
  const asked = questionsOf(quiz).filter((question) => isFixed(question, quiz) || chosen.has(question.id));
  const order = quiz.shuffleQuestions ? shuffled(asked, `${attempt} order`, ({ id }) => id) : asked;
  return order.map(({ id }) => id);
}
