/**
 * Work on its way: kept on the device, then by the server, through a broken line, another window and a reload; what was
 * typed is nowhere written over.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import type { OwnWorkAnswer } from '@itinerary/contract';
import { effectScope } from 'vue';
import type { EffectScope } from 'vue';
import { useHandIn } from '../../src/learner/coursework/use-hand-in.ts';
import type { HandIn } from '../../src/learner/coursework/use-hand-in.ts';

type Draft = NonNullable<OwnWorkAnswer['draft']>;
interface Sent {
  readonly line: string;
  readonly body: {
    readonly version: number;
    readonly text?: string;
    readonly id?: string;
    readonly files?: string[];
  };
}

let draft: Draft | null = null;
let handed: OwnWorkAnswer['handed'] = [];
let isAway = false;
/** The server does it, and its answer is lost. */
let isDeaf = false;
let sent: Sent[] = [];
const FILE = { hash: 'f1', name: 'notes.pdf', size: 9, type: 'application/pdf' };

const answer = (): OwnWorkAnswer => ({
  takes: { text: true, address: true, files: 5, kinds: [] },
  total: null,
  passAt: null,
  limit: { megabytes: 200, by: 'institution' },
  mayHandIn: true,
  mayMark: false,
  punctual: 'on_time',
  due: null,
  takenTo: null,
  now: '2027-03-02T09:00:00.000Z',
  tries: { most: null, used: handed.length },
  draft,
  handed,
  mark: null,
  zone: 'UTC',
  attachments: [],
});
const json = (body: object, status = 200): Promise<Response> =>
  isDeaf
    ? Promise.reject(new TypeError('lost'))
    : Promise.resolve(
        new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } }),
      );
const problem = (code: string, path: string): Promise<Response> =>
  json({ type: 'x', title: 'x', status: 409, code, errors: [{ path, value: 1, expected: 'x' }] }, 409);
const write = (text: string, files: readonly (typeof FILE)[] = draft?.files ?? []): void => {
  const version = (draft?.version ?? 0) + 1;
  draft = { version, at: '2027-03-02T09:00:00.000Z', text, address: '', files: [...files] };
};
function server(address: unknown, init?: RequestInit): Promise<Response> {
  if (isAway) return Promise.reject(new TypeError('away'));
  if (init?.method === undefined || init.method === 'GET') return json(answer());
  const body = JSON.parse(String(init.body)) as Sent['body'];
  sent.push({ line: String(address).split('/coursework/')[1] ?? '', body });
  const before = handed.find(({ id }) => id === body.id);
  if (before !== undefined) return json(answer());
  if (body.version !== (draft?.version ?? 0)) return problem('changed_elsewhere', 'version');
  if (body.id === undefined) write(body.text ?? '', body.files?.includes(FILE.hash) === true ? [FILE] : []);
  else {
    if ((draft?.text ?? '') === '') return problem('cannot_hand_in', 'empty');
    handed = [{ ...draft!, id: body.id, attempt: 1, isLate: false, hash: 'h', by: null }, ...handed];
    draft = null;
  }
  return json(answer());
}

let scope: EffectScope;
let hand: HandIn;
const open = async (): Promise<HandIn> => {
  scope = effectScope();
  hand = scope.run(() => useHandIn('c', 'i', 'p')) as HandIn;
  await hand.load().catch(() => undefined);
  return hand;
};
const passes = async (ms: number): Promise<void> => {
  await jest.advanceTimersByTimeAsync(ms);
};

beforeEach(async () => {
  jest.useFakeTimers();
  localStorage.clear();
  draft = null;
  handed = [];
  isAway = false;
  isDeaf = false;
  sent = [];
  globalThis.fetch = server as typeof fetch;
  await open();
});
afterEach(() => {
  scope.stop();
  jest.useRealTimers();
});

test('what is typed is on the device at once, and with the server soon, in one go', async () => {
  hand.type({ text: 'M' });
  hand.type({ text: 'Mud' });
  expect([hand.keeping.value, JSON.parse(localStorage.getItem('itinerary.work.p.c.i') ?? '')]).toEqual([
    'typing',
    { text: 'Mud', address: '', version: 0 },
  ]);
  await passes(800);
  expect([sent.length, draft?.text, hand.keeping.value]).toEqual([1, 'Mud', 'kept']);
  expect(localStorage.getItem('itinerary.work.p.c.i')).toBeNull();
});

test('a line that is away: it is said, kept here, and goes on its way by itself', async () => {
  isAway = true;
  hand.type({ text: 'Mud' });
  await passes(800);
  expect(hand.keeping.value).toBe('here');
  hand.type({ text: 'Mud and sand' });
  await passes(5000);
  expect(hand.keeping.value).toBe('here');
  isAway = false;
  await passes(5000);
  expect([hand.keeping.value, draft?.text]).toEqual(['kept', 'Mud and sand']);
});

test('a reload without a line: what was typed is there again, and is sent', async () => {
  isAway = true;
  hand.type({ text: 'Mud' });
  await passes(800);
  scope.stop();
  await passes(10);
  isAway = false;
  await open();
  await passes(0);
  expect([hand.typed.value.text, draft?.text, hand.keeping.value]).toEqual(['Mud', 'Mud', 'kept']);
});

test('an answer that was lost is no other window: what was sent is known again', async () => {
  isDeaf = true;
  hand.type({ text: 'Mud' });
  await passes(800);
  expect([hand.keeping.value, draft?.text]).toEqual(['here', 'Mud']);
  isDeaf = false;
  await passes(5000);
  expect([hand.keeping.value, hand.mine.value, draft?.version]).toEqual(['kept', null, 1]);
});

test('another window has written meanwhile: both are there, and one is chosen', async () => {
  hand.type({ text: 'From here' });
  write('From there');
  await passes(800);
  expect([hand.keeping.value, hand.typed.value.text, hand.mine.value?.text]).toEqual([
    'elsewhere',
    'From there',
    'From here',
  ]);
  hand.takeMine();
  await passes(800);
  expect([draft?.text, hand.mine.value, hand.keeping.value]).toEqual(['From here', null, 'kept']);
});

test('left as it is there, nothing of here is sent', async () => {
  hand.type({ text: 'From here' });
  write('From there');
  await passes(800);
  hand.dropMine();
  await passes(5000);
  expect([draft?.text, hand.typed.value.text, hand.keeping.value]).toEqual([
    'From there',
    'From there',
    'kept',
  ]);
  expect(localStorage.getItem('itinerary.work.p.c.i')).toBeNull();
});

test('a file that has arrived meanwhile changes nothing of what is typed', async () => {
  hand.type({ text: 'Mud' });
  write('', [FILE]);
  await passes(900);
  expect([draft?.text, draft?.files.length, hand.mine.value]).toEqual(['Mud', 1, null]);
  await hand.remove(FILE.hash);
  expect([draft?.text, draft?.files.length]).toEqual(['Mud', 0]);
});

test('typed since by another device while nothing is typed here: it is simply shown', async () => {
  write('From the phone');
  await hand.load();
  expect([hand.typed.value.text, hand.keeping.value]).toEqual(['From the phone', 'kept']);
});

test('handed in: what is still being typed goes first, and an answer that was lost is the same hand-in', async () => {
  hand.type({ text: 'Mud' });
  isDeaf = true;
  await passes(800);
  expect(await hand.handIn()).toBe(false);
  isDeaf = false;
  await passes(5000);
  isDeaf = true;
  expect(await hand.handIn()).toBe(false);
  isDeaf = false;
  expect(handed).toHaveLength(1);
  expect(await hand.handIn()).toBe(true);
  expect(handed).toHaveLength(1);
  const ids = sent.filter(({ line }) => line === 'handed').map(({ body }) => body.id);
  expect(new Set(ids).size).toBe(1);
  expect([hand.typed.value.text, hand.isEmpty.value]).toEqual(['', true]);
});

test('refused, it says why, and what was typed stays', async () => {
  expect(await hand.handIn()).toBe(false);
  expect(hand.failure.value).toMatchObject({ problem: { code: 'cannot_hand_in' } });
  hand.type({ text: 'Mud' });
  await passes(800);
  expect(await hand.handIn()).toBe(true);
});

test('what was read before something was kept, and comes after it, does not bring back what was there', async () => {
  let arrive = (): void => undefined;
  globalThis.fetch = ((address: unknown, init?: RequestInit) => {
    if (init?.method !== 'GET') return server(address, init);
    const early = server(address, init);
    globalThis.fetch = server as typeof fetch;
    return new Promise<Response>((resolve) => {
      arrive = () => void early.then(resolve);
    });
  }) as typeof fetch;
  const reading = hand.load();
  hand.type({ text: 'Mud' });
  await passes(800);
  expect(hand.keeping.value).toBe('kept');
  arrive();
  await reading;
  expect([hand.typed.value.text, hand.mine.value, hand.keeping.value]).toEqual(['Mud', null, 'kept']);
  hand.type({ text: 'Mud and sand' });
  await passes(800);
  expect([draft?.text, hand.keeping.value]).toEqual(['Mud and sand', 'kept']);
});
