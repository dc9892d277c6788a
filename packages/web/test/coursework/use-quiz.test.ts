/**
 * An attempt on its way: each answer on the device at once and with the server soon after, one request at a time; through a
 * broken line, a reload, another window and an end that comes first.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import type { OwnQuizAnswer, QuizAnswer } from '@itinerary/contract';
import { effectScope } from 'vue';
import type { EffectScope } from 'vue';
import { leftWords } from '../../src/words/countdown.ts';
import { useQuiz } from '../../src/learner/coursework/quiz/use-quiz.ts';
import type { QuizTaking } from '../../src/learner/coursework/quiz/use-quiz.ts';

type Kept = NonNullable<OwnQuizAnswer['open']>['answers'][number];
const NOW = '2027-03-02T09:00:00.000Z';
const YES: QuizAnswer = { kind: 'truth', chosen: true };
const NO: QuizAnswer = { kind: 'truth', chosen: false };

let attempt: { id: string; ended: string | null } | null;
let kept: Kept[];
let isAway: boolean;
/** The server does it, and its answer is lost. */
let isDeaf: boolean;
let sent: { line: string; body: Record<string, unknown> }[];

const answer = (): OwnQuizAnswer => ({
  questions: 2,
  total: 2,
  passAt: null,
  limit: null,
  layout: 'all',
  reveals: 'handed_in',
  counts: 'best',
  mayAnswer: true,
  mayMark: false,
  fault: attempt !== null && attempt.ended === null ? 'under_way' : null,
  from: null,
  punctual: 'on_time',
  due: null,
  takenTo: null,
  now: NOW,
  zone: 'UTC',
  tries: { most: null, used: attempt === null ? 0 : 1 },
  attempts:
    attempt === null
      ? []
      : [
          {
            ...{ id: attempt.id, number: 1, begun: NOW, end: null, ended: attempt.ended, isLate: false },
            ...{ endedBy: attempt.ended === null ? null : 'hand', hash: null, points: null, isFinal: false },
          },
        ],
  result: null,
  open:
    attempt === null
      ? null
      : {
          attempt: attempt.id,
          questions: ['a', 'b'].map((id) => ({ id, kind: 'truth', text: id, points: 1, required: false })),
          answers: kept,
          told: [],
        },
});
const json = (body: object, status = 200): Promise<Response> =>
  isDeaf
    ? Promise.reject(new TypeError('lost'))
    : Promise.resolve(
        new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } }),
      );
const problem = (code: string, path: string): Promise<Response> =>
  json({ type: 'x', title: 'x', status: 409, code, errors: [{ path, value: 1, expected: 'x' }] }, 409);

function server(address: unknown, init?: RequestInit): Promise<Response> {
  if (isAway) return Promise.reject(new TypeError('away'));
  if (init?.method === undefined || init.method === 'GET') return json(answer());
  const line = String(address).split('/quiz/')[1] ?? '';
  const body = JSON.parse(String(init.body)) as Record<string, unknown>;
  sent.push({ line, body });
  if (line === 'attempts') {
    attempt ??= { id: String(body['id']), ended: null };
    return attempt.id === body['id'] ? json(answer()) : problem('cannot_hand_in', 'under_way');
  }
  if (attempt === null || attempt.ended !== null) return problem('cannot_hand_in', 'over');
  if (line.endsWith('/handed')) {
    const versions = Object.fromEntries(kept.map(({ question, version }) => [question, version]));
    if (JSON.stringify(versions) !== JSON.stringify(body['answers']))
      return problem('changed_elsewhere', 'answers');
    attempt.ended = NOW;
    return json(answer());
  }
  const question = line.split('/').at(-1) ?? '';
  const there = kept.find((one) => one.question === question);
  if ((there?.version ?? 0) !== body['version']) return problem('changed_elsewhere', 'version');
  const version = (there?.version ?? 0) + 1;
  const one = { question, answer: body['answer'], version, at: NOW, isChecked: false } as Kept;
  kept = [...kept.filter((other) => other.question !== question), one];
  return json({ version, at: NOW, now: NOW });
}

let scope: EffectScope;
let taking: QuizTaking;
const open = (): void => {
  scope = effectScope();
  taking = scope.run(() => useQuiz('course', 'item', 'noor'))!;
};
const after = (ms: number): Promise<void> => jest.advanceTimersByTimeAsync(ms);

beforeEach(() => {
  jest.useFakeTimers();
  localStorage.clear();
  [attempt, kept, isAway, isDeaf, sent] = [null, [], false, false, []];
  globalThis.fetch = server as typeof fetch;
  open();
});
afterEach(() => {
  scope.stop();
  jest.useRealTimers();
});

async function begun(): Promise<void> {
  await taking.load();
  await taking.begin();
}

test('begun, and its answer lost: asked again it is the same attempt', async () => {
  await taking.load();
  isDeaf = true;
  await taking.begin();
  isDeaf = false;
  await taking.begin();
  expect(sent.map(({ body }) => body['id'])).toEqual([attempt?.id, attempt?.id]);
  expect(taking.quiz.value?.open?.attempt).toBe(attempt?.id);
});

test('a choice goes at once, words when they rest; each is built on the one before', async () => {
  await begun();
  taking.answer('a', YES);
  expect([taking.keeping.value, taking.answers.value.get('a')]).toEqual(['typing', YES]);
  await after(10);
  taking.answer('a', NO);
  await after(10);
  const puts = sent.slice(1).map(({ line, body }) => [line.split('/').at(-1), body['version']]);
  expect(puts).toEqual([
    ['a', 0],
    ['a', 1],
  ]);
  expect(taking.keeping.value).toBe('kept');
  taking.answer('b', { kind: 'long', text: 'M' });
  await after(300);
  taking.answer('b', { kind: 'long', text: 'Mud' });
  await after(1000);
  expect(sent.slice(3).map(({ body }) => body['answer'])).toEqual([{ kind: 'long', text: 'Mud' }]);
});

test('without a line it is kept here, goes by itself when there is one, and a reload loses none of it', async () => {
  await begun();
  isAway = true;
  taking.answer('a', YES);
  taking.answer('b', NO);
  await after(100);
  expect(taking.keeping.value).toBe('here');
  scope.stop();
  isAway = false;
  open();
  await taking.load();
  expect([...taking.answers.value]).toEqual([
    ['a', YES],
    ['b', NO],
  ]);
  await after(5000);
  expect(kept.map(({ question, answer: what }) => [question, what])).toEqual([
    ['a', YES],
    ['b', NO],
  ]);
  expect(taking.keeping.value).toBe('kept');
  expect(Object.keys(localStorage)).toEqual([]);
});

test('taken, and the answer lost: as the server has it, and nothing is written over', async () => {
  await begun();
  isDeaf = true;
  taking.answer('a', YES);
  await after(100);
  isDeaf = false;
  await after(4000);
  expect(kept).toMatchObject([{ question: 'a', answer: YES, version: 1 }]);
  expect(taking.answers.value.get('a')).toEqual(YES);
  expect(taking.keeping.value).toBe('kept');
});

test('taken, the answer lost, and typed on: what was typed on counts, and nobody is told of another window', async () => {
  await begun();
  isDeaf = true;
  taking.answer('b', { kind: 'long', text: 'Mud' });
  await after(800);
  taking.answer('b', { kind: 'long', text: 'Mud, and a heron' });
  await after(100);
  isDeaf = false;
  await after(9000);
  expect(kept).toMatchObject([{ question: 'b', answer: { text: 'Mud, and a heron' }, version: 2 }]);
  expect([taking.elsewhere.value, taking.keeping.value]).toEqual([[], 'kept']);
});

test('what came from another window in between is not written over by what was answered before it came', async () => {
  await begun();
  taking.answer('b', { kind: 'long', text: 'Mine' });
  kept = [
    {
      question: 'b',
      answer: { kind: 'long', text: 'Theirs' } as never,
      version: 1,
      at: NOW,
      isChecked: false,
    },
  ];
  // Something has happened in the course, and the page asks anew.
  await taking.load();
  await after(9000);
  expect(kept).toMatchObject([{ answer: { text: 'Theirs' }, version: 1 }]);
  expect(taking.elsewhere.value).toEqual(['b']);
  expect(taking.answers.value.get('b')).toEqual({ kind: 'long', text: 'Theirs' });
});

test('another window has answered meanwhile: that stands, and it is said at that question alone', async () => {
  await begun();
  kept = [{ question: 'a', answer: NO as never, version: 1, at: NOW, isChecked: false }];
  taking.answer('a', YES);
  taking.answer('b', YES);
  await after(5000);
  expect(taking.elsewhere.value).toEqual(['a']);
  expect(taking.answers.value.get('a')).toEqual(NO);
  expect(kept.find(({ question }) => question === 'b')).toMatchObject({ answer: YES });
  // Answered again, it is built on what stands there.
  taking.answer('a', YES);
  await after(100);
  expect([taking.elsewhere.value, kept.find(({ question }) => question === 'a')?.version]).toEqual([[], 2]);
});

test('what an earlier page left is dropped where something newer is there', async () => {
  await begun();
  isAway = true;
  taking.answer('a', YES);
  await after(100);
  scope.stop();
  isAway = false;
  kept = [{ question: 'a', answer: NO as never, version: 3, at: NOW, isChecked: false }];
  open();
  await taking.load();
  await after(5000);
  expect(kept).toMatchObject([{ answer: NO, version: 3 }]);
  expect(taking.answers.value.get('a')).toEqual(NO);
});

test('handed in with what is on its way; not while something is not with the server, nor unseen', async () => {
  await begun();
  taking.answer('b', { kind: 'long', text: 'Mud' });
  expect(await taking.end()).toBe(true);
  expect(sent.at(-1)?.body).toEqual({ answers: { b: 1 } });
  expect(taking.quiz.value?.attempts[0]?.ended).toBe(NOW);
  attempt = null;
  kept = [];
  await taking.load(null);
  await taking.begin();
  taking.answer('a', YES);
  isAway = true;
  expect(await taking.end()).toBe(false);
  isAway = false;
  await after(5000);
  kept = [...kept, { question: 'b', answer: NO as never, version: 1, at: NOW, isChecked: false }];
  expect(await taking.end()).toBe(false);
  // What another window had answered is seen now.
  expect(taking.answers.value.get('b')).toEqual(NO);
  expect(await taking.end()).toBe(true);
});

test('an end that came first: the answer is refused, and what the server has is shown', async () => {
  await begun();
  attempt!.ended = NOW;
  taking.answer('a', YES);
  await after(100);
  expect(taking.failure.value).not.toBeNull();
  expect([...taking.answers.value]).toEqual([]);
  await after(60_000);
  // It is not sent for ever.
  expect(sent.filter(({ line }) => line.includes('/answers/'))).toHaveLength(1);
});

test.each([
  [0, '0:00'],
  [999, '0:01'],
  [60_000, '1:00'],
  [3_599_000, '59:59'],
  [3_849_000, '1:04:09'],
])('%i milliseconds left', (ms, words) => expect(leftWords(ms)).toBe(words));

test('what was read before an answer was kept, and comes after it, takes nothing away', async () => {
  await begun();
  let arrive = (): void => undefined;
  // The server has said how it stands, and its words are still on their way.
  globalThis.fetch = ((address: unknown, init?: RequestInit) => {
    if (init?.method !== 'GET') return server(address, init);
    const early = server(address, init);
    globalThis.fetch = server as typeof fetch;
    return new Promise<Response>((resolve) => {
      arrive = () => void early.then(resolve);
    });
  }) as typeof fetch;
  const reading = taking.load();
  taking.answer('a', YES);
  await after(10);
  expect(taking.keeping.value).toBe('kept');
  arrive();
  await reading;
  expect(taking.answers.value.get('a')).toEqual(YES);
  taking.answer('a', NO);
  await after(10);
  expect([taking.elsewhere.value, taking.answers.value.get('a'), await taking.end()]).toEqual([[], NO, true]);
});
