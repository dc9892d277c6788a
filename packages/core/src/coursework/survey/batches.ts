/**
 * Answers of a survey in the batches in which they came (docs/semantics.md, Work): the first so many, then threes. Only
 * whole ones are shown, so that nobody learns from what is new who has just answered; within one nothing tells which
 * answer came when.
 */
import type { SurveyAnswers } from './answers.ts';

const NEXT = 3;

export interface Batch {
  /** From 0. */
  readonly number: number;
  readonly size: number;
  /** In the order of their own words. */
  readonly answers: readonly SurveyAnswers[];
}

/** The same words for the same answers, whatever was answered first. */
const wordsOf = (answers: SurveyAnswers): string =>
  JSON.stringify(Object.entries(answers).sort(([a], [b]) => (a < b ? -1 : 1)));

const ordered = (all: readonly SurveyAnswers[]): readonly SurveyAnswers[] =>
  all
    .map((one) => [wordsOf(one), one] as const)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([, one]) => one);

/**
 * The batch in which an answer then stands.
 *
 * @param last the one that came last; null: nobody has answered @param least how many the first one takes
 */
export function added(last: Batch | null, least: number, answers: SurveyAnswers): Batch {
  if (last === null) return { number: 0, size: least, answers: [answers] };
  if (last.answers.length >= last.size) return { number: last.number + 1, size: NEXT, answers: [answers] };
  return { ...last, answers: ordered([...last.answers, answers]) };
}

/** All that may be shown, in no order that says anything. */
export const wholeBatches = (batches: readonly Batch[]): readonly SurveyAnswers[] =>
  ordered(batches.filter(({ size, answers }) => answers.length >= size).flatMap(({ answers }) => answers));
