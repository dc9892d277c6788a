/** Surveys: answers that answer, batches that tell nothing of who came when, and totals against a count by hand. */
import { describe, expect, test } from '@jest/globals';
import {
  added,
  askedOf,
  newItem,
  readAnswers,
  survives,
  totalsOf,
  wholeBatches,
} from '../../../src/index.ts';
import type { Ask, Batch, Survey, SurveyAnswer, SurveyAnswers } from '../../../src/index.ts';

const CHOICES = [
  { id: 'slow', text: 'too slow' },
  { id: 'right', text: 'about right' },
  { id: 'fast', text: 'too fast' },
];
const ASKS: Readonly<Record<string, Ask>> = {
  muddy: { kind: 'open', text: 'What is muddy?', at: 4 },
  clear: { kind: 'scale', text: 'How clear?', at: 1, steps: 3, low: 'not', high: 'very' },
  helped: { kind: 'several', text: 'What helped?', at: 3, choices: CHOICES },
  pace: { kind: 'single', text: 'Pace?', at: 2, choices: CHOICES },
};
const survey = (asks: Survey['asks'] = ASKS): Survey =>
  newItem('survey', { id: 's', title: 'How it went', asks }) as Survey;

test('questions come in their order, and of two at one place by their names', () => {
  expect(askedOf(survey()).map(({ id }) => id)).toEqual(['clear', 'pace', 'helped', 'muddy']);
  const open = (text: string): Ask => ({ kind: 'open', text, at: 1 });
  const both = { b: open('Second?'), a: open('First?') };
  expect(askedOf(survey(both)).map(({ id }) => id)).toEqual(['a', 'b']);
});

describe('an answer', () => {
  test.each<[ask: string, answer: SurveyAnswer, is: boolean]>([
    ['clear', { kind: 'scale', step: 1 }, true],
    ['clear', { kind: 'scale', step: 3 }, true],
    ['clear', { kind: 'scale', step: 4 }, false],
    ['clear', { kind: 'scale', step: 0 }, false],
    ['clear', { kind: 'open', text: 'very' }, false],
    ['pace', { kind: 'single', choice: 'fast' }, true],
    ['pace', { kind: 'single', choice: 'gone' }, false],
    ['pace', { kind: 'several', choices: ['fast'] }, false],
    ['helped', { kind: 'several', choices: ['fast', 'slow'] }, true],
    ['helped', { kind: 'several', choices: ['fast', 'gone'] }, false],
    ['muddy', { kind: 'open', text: 'a'.repeat(5000) }, true],
    ['muddy', { kind: 'open', text: 'a'.repeat(5001) }, false],
    ['nowhere', { kind: 'open', text: 'Mud' }, false],
  ])('to %s, %j', (ask, answer, is) => {
    expect(survives(ASKS[ask], answer)).toBe(is);
    expect(readAnswers(survey(), { [ask]: answer }).ok).toBe(is);
  });

  test('what says nothing is left out, and nothing at all is none', () => {
    const nothing: SurveyAnswers = {
      muddy: { kind: 'open', text: ' \n' },
      helped: { kind: 'several', choices: [] },
    };
    expect(readAnswers(survey(), nothing)).toEqual({ ok: false, ask: null });
    const some: SurveyAnswers = { ...nothing, clear: { kind: 'scale', step: 2 } };
    expect(readAnswers(survey(), some)).toEqual({ ok: true, answers: { clear: { kind: 'scale', step: 2 } } });
    // What every object has is no question of it.
    expect(readAnswers(survey(), { constructor: { kind: 'open', text: 'Mud' } } as never)).toMatchObject({
      ok: false,
    });
  });
});

const step = (of: number): SurveyAnswers => ({ clear: { kind: 'scale', step: of } });
function batchesOf(all: readonly SurveyAnswers[], least: number): readonly Batch[] {
  const batches: Batch[] = [];
  for (const answers of all) {
    const next = added(batches.at(-1) ?? null, least, answers);
    if (batches.at(-1)?.number === next.number) batches.pop();
    batches.push(next);
  }
  return batches;
}

describe('batches', () => {
  test('the first so many, then threes; only whole ones are shown', () => {
    const counted = Array.from({ length: 15 }, (_, at) => at + 1).map(
      (many) =>
        wholeBatches(
          batchesOf(
            Array.from({ length: many }, () => step(1)),
            6,
          ),
        ).length,
    );
    expect(counted).toEqual([0, 0, 0, 0, 0, 6, 6, 6, 9, 9, 9, 12, 12, 12, 15]);
    // What is wanted later changes nothing of a batch that has begun.
    const [first] = batchesOf([step(1)], 5);
    expect(added(first ?? null, 50, step(2)).size).toBe(5);
  });

  test('are the same whoever came first: every order of five answers gives the same rows', () => {
    const muddy = (at: number): SurveyAnswers => ({ muddy: { kind: 'open', text: `mud ${at}` } });
    const five = [1, 2, 3, 2, 1].map((of, at) => ({ ...step(of), ...(at % 2 === 0 ? muddy(at) : {}) }));
    const orders = (rest: readonly SurveyAnswers[]): readonly (readonly SurveyAnswers[])[] =>
      rest.length === 0
        ? [[]]
        : rest.flatMap((one, at) =>
            orders(rest.filter((_, index) => index !== at)).map((more) => [one, ...more]),
          );
    const all = orders(five);
    expect(all).toHaveLength(120);
    expect(new Set(all.map((order) => JSON.stringify(batchesOf(order, 5)))).size).toBe(1);
    // In an answer too, what was answered first tells nothing.
    const mixed: SurveyAnswers = { muddy: { kind: 'open', text: 'mud 0' }, ...step(1) };
    const turned = batchesOf([mixed, ...five.slice(1)], 5);
    expect(wholeBatches(turned)).toHaveLength(5);
  });
});

describe('totals', () => {
  test('are counts by hand; what no longer answers its question counts nowhere', () => {
    const answers: SurveyAnswers[] = [
      {
        ...step(1),
        pace: { kind: 'single', choice: 'fast' },
        helped: { kind: 'several', choices: ['fast', 'fast', 'slow'] },
      },
      { ...step(3), pace: { kind: 'single', choice: 'gone' }, muddy: { kind: 'open', text: 'silt' } },
      { ...step(3), gone: { kind: 'open', text: 'nobody asks' }, muddy: { kind: 'open', text: 'mud' } },
      { clear: { kind: 'scale', step: 9 } },
    ];
    const [clear, pace, helped, muddy] = totalsOf(survey(), answers);
    expect(clear).toMatchObject({ answered: 3, mean: (1 + 3 + 3) / 3 });
    expect(clear?.counts).toEqual([
      { key: '1', text: 'not', count: 1 },
      { key: '2', text: '', count: 0 },
      { key: '3', text: 'very', count: 2 },
    ]);
    expect(pace?.counts.map(({ count }) => count)).toEqual([0, 0, 1]);
    // Named twice it was chosen once.
    expect(helped?.counts.map(({ count }) => count)).toEqual([1, 0, 1]);
    expect(muddy).toMatchObject({ answered: 2, mean: null, texts: ['mud', 'silt'], counts: [] });
    expect(totalsOf(survey(), []).every(({ answered, mean }) => answered === 0 && mean === null)).toBe(true);
  });
});
