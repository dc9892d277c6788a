/** The words over which the receipt of an attempt is made. */
import type { QuestionAnswer } from './question.ts';

export interface AttemptFacts {
  readonly course: string;
  readonly item: string;
  readonly person: string;
  /** Its id, and which of theirs it is. */
  readonly attempt: string;
  readonly number: number;
  /** By the server’s clock, ISO, UTC. */
  readonly ended: string;
  readonly answers: readonly (readonly [question: string, answer: QuestionAnswer])[];
}

/** The same questions answered the same, by the same person, in the same attempt and moment, give the same words. */
export function attemptWords(facts: AttemptFacts): string {
  const { course, item, person, number, attempt, ended, answers } = facts;
  const named = [...answers]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([question, answer]) => [question, inOrder(answer)]);
  return JSON.stringify([1, course, item, person, number, attempt, ended, named]);
}

/** A database orders the keys of an answer its own way. */
function inOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOrder);
  if (value === null || typeof value !== 'object') return value;
  return Object.entries(value)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([key, one]) => [key, inOrder(one)]);
}
