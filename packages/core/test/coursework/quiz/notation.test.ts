/** Questions as they are pasted: what is read, what is not and why, and written out and read again the same. */
import { expect, test } from '@jest/globals';
import { readQuestions, writeQuestions } from '../../../src/coursework/quiz/notation.ts';
import type { ReadBlock, WrittenQuestion } from '../../../src/coursework/quiz/notation.ts';
import { BLOCKS } from './pasted-blocks.ts';

const read = (block: string): ReadBlock =>
  readQuestions(block, (question, part) => (part === undefined ? `q${question}` : `q${question}-${part}`));

function said(one: WrittenQuestion): string {
  const head = `${one.kind} [${one.points}] ${one.text.replaceAll('\n', '/')}`;
  const why = one.why === '' ? '' : ` > ${one.why.replaceAll('\n', '/')}`;
  switch (one.kind) {
    case 'single':
    case 'several': {
      const right = one.kind === 'single' ? [one.right] : one.right;
      return `${head}: ${one.choices.map(({ id, text }) => (right.includes(id) ? '*' : '') + text).join(' | ')}${why}`;
    }
    case 'truth':
      return `${head}: ${String(one.right)}${why}`;
    case 'long':
      return head + why;
    case 'short':
      return `${head}: ${one.accepted.map(({ text, share }) => text + (share === 1 ? '' : ` ${share * 100}%`)).join(' | ')}${why}`;
    case 'number': {
      const { of, value } = one.tolerance;
      const off = value === 0 ? '' : ` ±${of === 'share' ? `${value * 100}%` : value}`;
      return `${head}: ${one.right}${one.units.map(({ name }) => ` ${name}`).join('')}${off}${why}`;
    }
    case 'matching': {
      const right = new Map(one.rights.map(({ id, text }) => [id, text]));
      return `${head}: ${one.lefts.map(({ id, text }) => `${text}=${right.get(one.pairs[id] ?? '') ?? ''}`).join(' | ')}${why}`;
    }
    case 'order':
      return `${head}: ${one.entries.map(({ text }) => text).join(', ')}${why}`;
  }
}
/** In the order of the block. */
function all({ questions, unread }: ReadBlock, block: string): readonly string[] {
  const heads = block.split(/\r\n?|\n/).flatMap((line, at) => (/^\s*\d+[.)]\s/.test(line) ? [at + 1] : []));
  const wrong = new Set(unread.map(({ line }) => line));
  const taken = heads.filter((line) => !wrong.has(line));
  const lines = [
    ...questions.map((one, at) => [taken[at] ?? 0, said(one)] as const),
    ...unread.map(({ line, code }) => [line, `! ${line} ${code}`] as const),
  ];
  return [...lines].sort(([a], [b]) => a - b).map(([, words]) => words);
}

test('there are as many as there should be', () => expect(BLOCKS.length).toBeGreaterThanOrEqual(60));

test.each(BLOCKS)('%s', (_, block, expected) => {
  expect(all(read(block), block)).toEqual(expected);
});

test('written out and read back, every question is the same', () => {
  const questions = BLOCKS.flatMap(([, block]) => read(block).questions);
  expect(questions.length).toBeGreaterThan(50);
  const again = read(writeQuestions(questions));
  expect(again.unread).toEqual([]);
  expect(again.questions.map(said)).toEqual(questions.map(said));
  // Written out once more it is the same to the letter.
  expect(writeQuestions(again.questions)).toBe(writeQuestions(questions));
});

test('ids come from whoever asks, one for each part', () => {
  const { questions } = read('1. A?\na) x *\nb) y\n2. B?\nc -> d\ne -> f');
  expect(JSON.stringify(questions)).toContain('"id":"q0-1"');
  expect(questions[1]).toMatchObject({ id: 'q1', pairs: { 'q1-0': 'q1-2', 'q1-1': 'q1-3' } });
});
