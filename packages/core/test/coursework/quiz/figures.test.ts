/** How questions went, which answers say the same, and questions as they are made. */
import { describe, expect, test } from '@jest/globals';
import {
  alikeAs,
  answerWords,
  asKind,
  figuresOf,
  newQuestion,
  QUESTION_KINDS,
  questionFault,
  questionSchema,
} from '../../../src/index.ts';
import type { AskedQuestion, JudgedAnswer, PlannedQuestion } from '../../../src/index.ts';
import { of, QUESTIONS } from './marsh-quiz.ts';

describe('how questions went', () => {
  const attempt = (...shares: readonly number[]): readonly JudgedAnswer[] =>
    shares.map((share, at) => ({
      question: `q${at}`,
      points: 1,
      share: `${share}/1`,
      isOpen: false,
      isUnanswered: false,
    }));

  test('one that they have right who have the others right tells well, its opposite badly, one alike not at all', () => {
    const all = [
      attempt(1, 1, 1, 0, 1),
      attempt(1, 1, 1, 0, 1),
      attempt(1, 1, 1, 0, 1),
      attempt(0, 0, 0, 1, 1),
      attempt(0, 0, 0, 1, 1),
      attempt(0, 0, 0, 1, 1),
    ];
    const figures = figuresOf(all);
    expect(figures.map(({ right }) => right)).toEqual([0.5, 0.5, 0.5, 0.5, 1]);
    expect(figures[0]?.tells).toBeCloseTo(1, 12);
    expect(figures[3]?.tells).toBeCloseTo(-1, 12);
    expect(figures[4]?.tells).toBeNull();
    expect(figuresOf(all.slice(0, 4))[0]?.tells).toBeNull();
  });

  test('by hand: four of five points on a line but one', () => {
    const rests = [0, 1, 2, 3, 3];
    const all = rests.map((rest, at): readonly JudgedAnswer[] => [
      { question: 'x', points: 1, share: at >= 3 ? '1/1' : '0/1', isOpen: false, isUnanswered: false },
      { question: 'y', points: 3, share: `${rest}/3`, isOpen: false, isUnanswered: false },
    ]);
    // About their means, 0.4 and 0.6: products 0.8, squares 1.2 and 0.755…
    const squares = 1 / 9 + 4 / 9 + 1 + 1 - 5 * 0.36;
    expect(figuresOf(all)[0]?.tells).toBeCloseTo(0.8 / Math.sqrt(1.2 * squares), 10);
  });

  test('what waits for staff is counted, and left out of the rest', () => {
    const open: JudgedAnswer = { question: 'x', points: 1, share: '0/1', isOpen: true, isUnanswered: false };
    const none: JudgedAnswer = { question: 'x', points: 1, share: '0/1', isOpen: false, isUnanswered: true };
    expect(figuresOf([[open], [none], [{ ...none, share: '1/1', isUnanswered: false }]])).toEqual([
      { question: 'x', asked: 3, unanswered: 1, open: 1, right: 0.5, tells: null },
    ]);
  });
});

test('answers that say the same are one, in the question’s own way of reading', () => {
  const short = (text: string) => ({ kind: 'short', text }) as const;
  expect(alikeAs(of('q5'), short(' ZOSTERA '))).toBe(alikeAs(of('q5'), short('zostera')));
  const strict = { ...of('q5'), folds: { case: false, accents: false } } as AskedQuestion;
  expect(alikeAs(strict, short('Zostera'))).not.toBe(alikeAs(strict, short('zostera')));
  const ticked = (chosen: readonly string[]) => ({ kind: 'several', chosen }) as const;
  expect(alikeAs(of('q2'), ticked(['q2p1', 'q2p0']))).toBe(alikeAs(of('q2'), ticked(['q2p0', 'q2p1'])));
  expect(answerWords(of('q4'), { kind: 'order', placed: ['q4p2', 'gone', 'q4p0'] })).toEqual([
    'Count',
    'Dig',
  ]);
  expect(answerWords(of('q3'), { kind: 'matching', placed: { q3p1: 'q3p2' } })).toEqual(['Crab → Shell']);
  expect(answerWords(of('q7'), { kind: 'truth', chosen: null })).toEqual([]);
});

describe('making questions', () => {
  const common = { text: 'Which?', why: '', points: 2, required: true, pool: 'p', at: 3 };
  const part = (at: number) => ({ id: `new${at}`, text: `Choice ${at + 1}` });
  const made = (kind: PlannedQuestion['kind']): PlannedQuestion => newQuestion(kind, common, part);

  test.each(QUESTION_KINDS)('%s: as it begins it can be kept, and readiness says what it lacks', (kind) => {
    expect(questionSchema.safeParse(made(kind)).success).toBe(true);
    const lacks = { truth: 'no_right', number: 'no_right', short: 'no_right', single: 'no_right' };
    const few = { matching: 'too_few', order: 'too_few' };
    expect(questionFault(made(kind))).toBe({ ...lacks, ...few, several: null, long: null }[kind] ?? null);
  });

  test.each(Object.keys(QUESTIONS))('%s: what is whole lacks nothing', (id) =>
    expect(questionFault(QUESTIONS[id]!)).toBeNull(),
  );

  test.each(QUESTION_KINDS.flatMap((from) => QUESTION_KINDS.map((to) => [from, to] as const)))(
    '%s made into %s keeps what all kinds have',
    (from, to) => {
      const next = asKind(made(from), to, part);
      expect(next).toMatchObject({ ...common, kind: to });
      expect(questionSchema.safeParse(next).success).toBe(true);
    },
  );

  test('choices stay choices, and what was right stays so', () => {
    const one = { ...made('single'), right: 'new1' } as PlannedQuestion;
    const several = asKind(one, 'several', part);
    expect(several).toMatchObject({ right: ['new1'], choices: [{ id: 'new0' }, { id: 'new1' }] });
    expect(asKind(several, 'single', part)).toMatchObject({ right: 'new1' });
    // One that had nothing right has its first, since several cannot have nothing.
    expect(asKind(made('single'), 'several', part)).toMatchObject({ right: ['new0'] });
  });

  test('what names a part that is gone is not right', () => {
    const gone = { ...made('single'), right: 'nowhere' } as PlannedQuestion;
    expect(questionFault(gone)).toBe('no_right');
    const pair = { ...QUESTIONS['q3'], pairs: { q3p0: 'q3p2' } } as PlannedQuestion;
    expect(questionFault(pair)).toBe('no_right');
  });
});
