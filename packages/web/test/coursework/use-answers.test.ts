/**
 * Answers as staff look at them: what is marked stays where it stood, and what was looked at is what is done.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { beforeEach, expect, test } from '@jest/globals';
import type { AlikeAnswers } from '@itinerary/contract';
import { useAnswers } from '../../src/marking/quiz/use-answers.ts';
import type { Alike } from '../../src/marking/quiz/use-answers.ts';

const QUESTION = { id: 'q', number: 1, text: 'Which?', kind: 'short', points: 2, right: [], why: '' };
const group = (attempt: string, mark: string | null = null): Alike => ({
  words: [attempt],
  isOpen: mark === null,
  share: 0,
  mark: mark === null ? null : { points: 1, comment: '' },
  from: [{ attempt, name: attempt, mark }],
});
let answers: Alike[];
let sent: [line: string, body: unknown][];
let waits: (() => void)[] = [];
let isSlow = false;

const json = (body: object): Promise<Response> =>
  Promise.resolve(new Response(JSON.stringify(body), { headers: { 'content-type': 'application/json' } }));
async function server(address: unknown, init?: RequestInit): Promise<Response> {
  const line = String(address).split('/quiz')[1] ?? '';
  if (init?.method === 'POST') sent.push([line, JSON.parse(String(init.body))]);
  if (isSlow) await new Promise<void>((resolve) => waits.push(resolve));
  if (line.endsWith('/anew') && init?.method !== 'POST') return json({ token: 't', attempts: 1, people: [] });
  if (line === '' || line.endsWith('/anew')) return json({ questions: [], people: [] });
  const id = line.split('/')[2] ?? '';
  return json({ question: { ...QUESTION, id }, answers } satisfies AlikeAnswers);
}
beforeEach(() => {
  [answers, sent, waits, isSlow] = [[group('a'), group('b'), group('c')], [], [], false];
  globalThis.fetch = server as typeof fetch;
});

test('what has been marked stays where it stood, though the server lists what is open first', async () => {
  const its = useAnswers('course', 'item');
  await its.look('q');
  answers = [group('b'), group('c'), group('a', 'm1')];
  await its.mark(its.looked.value!.answers[0]!, 1.5, 'Nearly');
  expect(sent).toEqual([
    ['/questions/q/marks', { answers: [{ attempt: 'a', after: null }], points: 1.5, comment: 'Nearly' }],
  ]);
  expect(its.looked.value?.answers.map(({ words }) => words[0])).toEqual(['a', 'b', 'c']);
  // Marked anew it is built on the mark before.
  await its.mark(its.looked.value!.answers[0]!, 2, '');
  expect(sent[1]?.[1]).toMatchObject({ answers: [{ attempt: 'a', after: 'm1' }] });
});

test('an answer to a question that is not looked at any more is not shown', async () => {
  const its = useAnswers('course', 'item');
  isSlow = true;
  const [first, second] = [its.look('slow'), its.look('q')];
  await Promise.resolve();
  waits[1]?.();
  await second;
  waits[0]?.();
  await first;
  expect(its.looked.value?.question.id).toBe('q');
  await its.look(null);
  expect(its.looked.value).toBeNull();
});

test('all are judged anew as it was looked at, and not before', async () => {
  const its = useAnswers('course', 'item');
  await its.judgeAnew();
  expect(sent).toEqual([]);
  await its.lookAnew();
  await its.judgeAnew();
  expect(sent).toEqual([['/anew', { token: 't' }]]);
});
