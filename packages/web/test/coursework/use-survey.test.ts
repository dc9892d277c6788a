/**
 * A survey on a page: what is answered so far stays on the device and goes nowhere until it is sent, once; then nothing
 * of it is left.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { beforeEach, expect, test } from '@jest/globals';
import type { OwnSurvey } from '@itinerary/contract';
import { useSurvey } from '../../src/learner/coursework/survey/use-survey.ts';
import type { Answers } from '../../src/learner/coursework/survey/use-survey.ts';

let sent: Answers[];
let asks: OwnSurvey['asks'];
let hasAnswered: boolean;
let isClosed: boolean;
let line: 'good' | 'lost' | 'answer lost' | 'refused';

const json = (body: object, status = 200): Promise<Response> =>
  Promise.resolve(
    new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } }),
  );
function server(_address: unknown, init?: RequestInit): Promise<Response> {
  if (line === 'lost') return Promise.reject(new TypeError('lost'));
  if (init?.method === 'POST') {
    if (line === 'refused') {
      const errors = [{ path: 'changed', value: '', expected: '' }];
      return json({ type: 'about:blank', title: 'No', status: 409, code: 'cannot_hand_in', errors }, 409);
    }
    sent.push((JSON.parse(String(init.body)) as { answers: Answers }).answers);
    hasAnswered = true;
    if (line === 'answer lost') return Promise.reject(new TypeError('lost'));
  }
  return json({ asks, hasAnswered, mayAnswer: !hasAnswered && !isClosed, least: 5, mayLook: false });
}
const STEP = { kind: 'scale', step: 3 } as const;
const MUD = { kind: 'open', text: 'Mud' } as const;
const held = (): string => Object.values({ ...localStorage }).join();

beforeEach(() => {
  localStorage.clear();
  [sent, hasAnswered, line, isClosed] = [[], false, 'good', false];
  asks = [
    { id: 'clear', kind: 'scale', text: 'How clear?', steps: 5, low: '', high: '' },
    { id: 'muddy', kind: 'open', text: 'What is muddy?' },
    { id: 'helped', kind: 'several', text: 'What helped?', choices: [] },
  ];
  globalThis.fetch = server as typeof fetch;
});

test('stays on the device until it is sent, over a page that is opened anew; then nothing of it is there', async () => {
  const its = useSurvey('c', 'i', 'p');
  await its.load();
  its.answer('clear', STEP);
  its.answer('muddy', MUD);
  expect([its.answered.value, sent]).toEqual([2, []]);
  const again = useSurvey('c', 'i', 'p');
  await again.load();
  expect(again.answers.value).toEqual({ clear: STEP, muddy: MUD });
  // Of somebody else on this device it is nothing.
  const other = useSurvey('c', 'i', 'q');
  await other.load();
  expect(other.answers.value).toEqual({});
  expect(await again.send()).toBe(true);
  expect(sent).toEqual([{ clear: STEP, muddy: MUD }]);
  expect([again.answers.value, held()]).toEqual([{}, '']);
});

test('what says nothing, or answers what is no longer asked, is not sent', async () => {
  const its = useSurvey('c', 'i', 'p');
  await its.load();
  its.answer('muddy', { kind: 'open', text: '  ' });
  its.answer('helped', { kind: 'several', choices: [] });
  expect(its.answered.value).toBe(0);
  its.answer('clear', STEP);
  its.answer('gone', MUD);
  expect(its.answered.value).toBe(1);
  its.answer('clear', null);
  expect(its.answered.value).toBe(0);
  its.answer('clear', STEP);
  await its.send();
  expect(sent).toEqual([{ clear: STEP }]);
});

test('a lost line loses nothing, and a lost answer is seen to have been given', async () => {
  const its = useSurvey('c', 'i', 'p');
  await its.load();
  its.answer('muddy', MUD);
  line = 'lost';
  expect([await its.send(), its.answers.value]).toEqual([false, { muddy: MUD }]);
  expect(held()).toContain('Mud');
  line = 'answer lost';
  expect(await its.send()).toBe(false);
  line = 'good';
  await its.load();
  expect([its.survey.value?.hasAnswered, held()]).toEqual([true, '']);
});

test('where what is asked has changed meanwhile, what still answers it stands', async () => {
  const its = useSurvey('c', 'i', 'p');
  await its.load();
  its.answer('clear', STEP);
  its.answer('muddy', MUD);
  line = 'refused';
  asks = asks.filter(({ id }) => id !== 'clear');
  expect(await its.send()).toBe(false);
  expect([its.answered.value, its.survey.value?.asks.length]).toEqual([1, 2]);
  line = 'good';
  await its.send();
  expect(sent).toEqual([{ muddy: MUD }]);
});

test('closed for a while, what was typed is there when it opens again', async () => {
  const its = useSurvey('c', 'i', 'p');
  await its.load();
  its.answer('muddy', MUD);
  isClosed = true;
  const closed = useSurvey('c', 'i', 'p');
  await closed.load();
  isClosed = false;
  const again = useSurvey('c', 'i', 'p');
  await again.load();
  expect(again.answers.value).toEqual({ muddy: MUD });
});
