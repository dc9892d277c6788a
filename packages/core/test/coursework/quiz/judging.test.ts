/** What answers give: a table, and random quizzes against a judge that shares nothing with ours. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { judgeAttempt, resultOfJudged } from '../../../src/coursework/quiz/attempt.ts';
import { judge, resultOf } from '../../../src/coursework/quiz/judge.ts';
import type { AttemptResult } from '../../../src/coursework/quiz/judge.ts';
import { written } from '../../../src/coursework/quiz/planned.ts';
import type { Question, QuestionAnswer } from '../../../src/coursework/quiz/question.ts';
import { compared, exactly, rational, toNumber } from '../../../src/coursework/quiz/rational.ts';
import { runs } from '../../support/runs.ts';
import { CASES } from './judging-cases.ts';

test('the table is as long as it should be, and has every kind', () => {
  expect(CASES.length).toBeGreaterThanOrEqual(150);
  expect(new Set(CASES.map(([, { kind }]) => kind)).size).toBe(8);
  expect(new Set(CASES.map(([what]) => what)).size).toBeGreaterThan(150);
});

test.each(CASES)('%s', (_, question, answer, expected) => {
  const judged = judge(question, answer);
  const said = judged.isUnanswered ? 'unanswered' : judged.isOpen ? 'open' : toNumber(judged.share);
  if (typeof expected === 'number') expect(said).toBeCloseTo(expected, 12);
  else expect(said).toBe(expected);
  if (typeof expected !== 'number') expect(toNumber(judged.share)).toBe(0);
});

test('an answer of another kind is a mistake of ours, and said', () => {
  expect(() => judge({ id: 'q', points: 1, kind: 'long' }, { kind: 'truth', chosen: true })).toThrow(
    TypeError,
  );
});

/** As an attempt is judged when it ends. @param marked by question, what staff have given, from nought to one */
function attemptResult(
  questions: readonly Question[],
  answers: ReadonlyMap<string, QuestionAnswer>,
  marked: ReadonlyMap<string, number> = new Map(),
): AttemptResult {
  const shares = new Map([...marked].map(([id, share]) => [id, written(exactly(share))]));
  return resultOfJudged(judgeAttempt(questions, answers), shares, null);
}

describe('an attempt', () => {
  const truth = (id: string, points: number): Question => ({ id, points, kind: 'truth', right: true });
  const long = (id: string, points: number): Question => ({ id, points, kind: 'long' });
  const yes: QuestionAnswer = { kind: 'truth', chosen: true };
  const words: QuestionAnswer = { kind: 'long', text: 'Mud' };
  const share = (result: ReturnType<typeof attemptResult>): unknown => [
    result.share === null ? null : toNumber(result.share),
    result.isFinal,
  ];

  test('is the sum of results over the sum of points, exactly', () => {
    const tenths = Array.from({ length: 10 }, (_, at) => truth(String(at), 0.1));
    const three = new Map(tenths.slice(0, 3).map(({ id }) => [id, yes]));
    const { share: got } = attemptResult(tenths, three);
    expect(got).toEqual(rational(3, 10));
    expect(compared(got!, exactly(0.3))).toBe(0);
  });
  test('is not final while staff have still to say; unanswered is nought at once', () => {
    const quiz = [truth('a', 1), long('b', 3)];
    expect(
      share(
        attemptResult(
          quiz,
          new Map<string, QuestionAnswer>([
            ['a', yes],
            ['b', words],
          ]),
        ),
      ),
    ).toEqual([0.25, false]);
    expect(
      share(
        attemptResult(
          quiz,
          new Map<string, QuestionAnswer>([
            ['a', yes],
            ['b', words],
          ]),
          new Map([['b', 0.5]]),
        ),
      ),
    ).toEqual([0.625, true]);
    expect(share(attemptResult(quiz, new Map([['a', yes]]), new Map([['b', 1]])))).toEqual([0.25, true]);
  });
  test('has no result where there is nothing to reach', () => {
    expect(share(attemptResult([truth('a', 0)], new Map([['a', yes]])))).toEqual([null, true]);
    expect(share(attemptResult([], new Map()))).toEqual([null, true]);
  });
  test('of several the best, the last, or the average counts; best and average are final when all are', () => {
    const of = (n: number, d: number, isFinal = true) => ({ share: rational(n, d), isFinal });
    const three = [of(1, 3), of(2, 3, false), of(1, 2)];
    expect(share(resultOf(three, 'best'))).toEqual([2 / 3, false]);
    expect(share(resultOf(three, 'last'))).toEqual([0.5, true]);
    expect(resultOf(three, 'average')).toEqual({ share: rational(1, 2), isFinal: false });
    const empty = { share: null, isFinal: true };
    expect(resultOf([of(1, 3), empty, of(2, 3)], 'average')).toEqual(of(1, 2));
    expect(share(resultOf([empty], 'best'))).toEqual([null, true]);
    expect(share(resultOf([], 'last'))).toEqual([null, true]);
  });
});

/** In whole numbers over a common denominator, by counting: shares nothing with the judge but the questions. */
function naive(question: Question, answer: QuestionAnswer): readonly [hits: number, of: number] {
  if (question.kind === 'truth')
    return [(answer as { chosen: unknown }).chosen === question.right ? 1 : 0, 1];
  if (question.kind === 'single')
    return [(answer as { chosen: unknown }).chosen === question.right ? 1 : 0, 1];
  if (question.kind === 'several') {
    let score = 0;
    let isExact = true;
    for (const { id } of question.choices) {
      const isChosen = (answer as { chosen: readonly string[] }).chosen.indexOf(id) >= 0;
      const isRight = question.right.indexOf(id) >= 0;
      if (isChosen) score += isRight ? 1 : -1;
      if (isChosen !== isRight) isExact = false;
    }
    if (question.credit === 'whole') return [isExact ? 1 : 0, 1];
    return [score > 0 ? score : 0, question.right.length];
  }
  if (question.kind === 'order') {
    const { placed } = answer as { placed: readonly string[] | null };
    let hits = 0;
    if (placed !== null)
      for (let at = 0; at < question.entries.length; at += 1) {
        const there = question.entries.find(({ id }) => id === placed[at]);
        if (there?.text === question.entries[at]?.text) hits += 1;
      }
    return question.credit === 'whole'
      ? [hits === question.entries.length ? 1 : 0, 1]
      : [hits, question.entries.length];
  }
  if (question.kind === 'number') {
    // Hundredths, as whole numbers.
    const given = Math.round(Number((answer as { text: string }).text) * 100);
    const off = Math.abs(given - Math.round((question.right ?? 0) * 100));
    return [off <= Math.round(question.tolerance.value * 100) ? 1 : 0, 1];
  }
  throw new Error(question.kind);
}

const IDS = ['a', 'b', 'c', 'd', 'e'];
const subset = fc.subarray(IDS);
const choices = IDS.map((id) => ({ id, text: id }));
const credit = fc.constantFrom('whole' as const, 'by_part' as const);
const hundredths = fc.integer({ min: -500, max: 500 }).map((n) => n / 100);
const pair: fc.Arbitrary<readonly [Question, QuestionAnswer]> = fc.oneof(
  fc.tuple(fc.boolean(), fc.constantFrom(true, false, null)).map(
    ([right, chosen]) =>
      [
        { id: '', points: 1, kind: 'truth', right },
        { kind: 'truth', chosen },
      ] as const,
  ),
  fc.tuple(fc.constantFrom(...IDS), fc.constantFrom(...IDS, null)).map(
    ([right, chosen]) =>
      [
        { id: '', points: 1, kind: 'single', choices, right },
        { kind: 'single', chosen },
      ] as const,
  ),
  fc.tuple(fc.subarray(IDS, { minLength: 1 }), subset, credit).map(
    ([right, chosen, how]) =>
      [
        { id: '', points: 1, kind: 'several', choices, right, credit: how },
        { kind: 'several', chosen },
      ] as const,
  ),
  fc.tuple(fc.shuffledSubarray(IDS, { minLength: 5 }), credit, fc.integer({ min: 1, max: 5 })).map(
    ([placed, how, words]) =>
      [
        {
          id: '',
          points: 1,
          kind: 'order',
          // Some entries have the same words.
          entries: IDS.map((id, at) => ({ id, text: String(at % words) })),
          credit: how,
        },
        { kind: 'order', placed },
      ] as const,
  ),
  fc.tuple(hundredths, hundredths, fc.integer({ min: 0, max: 300 })).map(
    ([right, given, off]) =>
      [
        {
          id: '',
          points: 1,
          kind: 'number',
          right,
          tolerance: { of: 'absolute', value: off / 100 },
          units: [],
        },
        { kind: 'number', text: String(given), language: 'en' },
      ] as const,
  ),
);

test('random quizzes are judged as a naive judge does', () => {
  const quiz = fc.array(fc.tuple(pair, fc.integer({ min: 0, max: 40 })), { minLength: 1, maxLength: 12 });
  let some = 0;
  fc.assert(
    fc.property(quiz, (asked) => {
      const questions = asked.map(([[question], quarters], at) => ({
        ...question,
        id: String(at),
        points: quarters / 4,
      }));
      const answers = new Map(asked.map(([[, answer]], at) => [String(at), answer]));
      const { share } = attemptResult(questions, answers);
      // Over 60, which all of the parts go into; quarters of points.
      let got = 0;
      let all = 0;
      for (const [[question, answer], quarters] of asked) {
        const [hits, of] = naive(question, answer);
        got += (quarters * hits * 60) / of;
        all += quarters * 60;
      }
      if (all === 0) return expect(share).toBeNull();
      some += 1;
      expect(share).toEqual(rational(Math.round(got), all));
    }),
    { numRuns: runs(5000), seed: 20270302 },
  );
  expect(some).toBeGreaterThan(runs(5000) / 2);
});
