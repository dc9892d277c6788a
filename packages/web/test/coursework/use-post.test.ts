/**
 * A post as it is written: kept by the server and on the device, gone on with by another page, and nobody's words written
 * over.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import type { PostDraft } from '@itinerary/contract';
import { effectScope } from 'vue';
import type { EffectScope } from 'vue';
import { usePost } from '../../src/learner/coursework/talk/use-post.ts';
import type { Post } from '../../src/learner/coursework/talk/use-post.ts';

const FILE = { hash: 'f', name: 'a.png', size: 9, type: 'image/png' };
const NOTHING: PostDraft = { version: 0, title: '', html: '', files: [], megabytes: 200 };
let there: PostDraft;
let isAway = false;
let asked: string[] = [];

function server(_address: unknown, init?: RequestInit): Promise<Response> {
  if (isAway) return Promise.reject(new TypeError('away'));
  const method = init?.method ?? 'GET';
  asked.push(method);
  const json = (body: object, status = 200): Promise<Response> =>
    Promise.resolve(
      new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } }),
    );
  if (method === 'DELETE') there = NOTHING;
  if (method === 'PUT') {
    const { version, title, html, files } = JSON.parse(String(init?.body)) as PostDraft & { files: never };
    if (version !== there.version) {
      return json({ type: 'urn', title: 'No', status: 409, code: 'changed_elsewhere' }, 409);
    }
    const kept = [FILE].filter(({ hash }) => (files as readonly string[]).includes(hash));
    there = { ...there, version: version + 1, title, html, files: kept };
  }
  return json(there);
}

const scopes: EffectScope[] = [];
async function open(before: { html: string; files: PostDraft['files'] } | null = null): Promise<Post> {
  const scope = effectScope();
  scopes.push(scope);
  const where = { course: 'c', item: 'i', person: 'p', place: before === null ? 'new' : 'post' };
  const post = scope.run(() => usePost(where, before)) as Post;
  await post.load().catch(() => undefined);
  return post;
}
const passes = async (ms: number): Promise<void> => {
  await jest.advanceTimersByTimeAsync(ms);
};

beforeEach(() => {
  jest.useFakeTimers();
  localStorage.clear();
  [there, isAway, asked] = [NOTHING, false, []];
  globalThis.fetch = server as typeof fetch;
});
afterEach(() => {
  scopes.splice(0).forEach((scope) => scope.stop());
  jest.useRealTimers();
});

test('what is typed is with the server soon, and another page goes on with it', async () => {
  const phone = await open();
  phone.type({ title: 'Boots', html: '<p>Which' });
  expect(phone.keeping.value).toBe('typing');
  await passes(800);
  expect([phone.keeping.value, there.version, there.html]).toEqual(['kept', 1, '<p>Which']);
  const desk = await open();
  expect(desk.typed.value).toEqual({ title: 'Boots', html: '<p>Which' });
  desk.type({ html: '<p>Which boots?' });
  await passes(800);
  // The phone, which knows nothing of that, writes over nothing: its own words stand aside.
  phone.type({ html: '<p>Which shoes?' });
  await passes(1700);
  expect([phone.keeping.value, phone.mine.value?.html, phone.typed.value.html]).toEqual([
    'elsewhere',
    '<p>Which shoes?',
    '<p>Which boots?',
  ]);
  phone.takeMine();
  await passes(800);
  expect(there.html).toBe('<p>Which shoes?');
});

test('without a line it is on the device, and the next page brings it to the server', async () => {
  const one = await open();
  isAway = true;
  one.type({ html: '<p>Mud' });
  await passes(900);
  expect(one.keeping.value).toBe('here');
  scopes.splice(0).forEach((scope) => scope.stop());
  isAway = false;
  await open();
  await passes(0);
  expect(there.html).toBe('<p>Mud');
});

test('opened without a line, it begins with what the device has, and all of it goes once there is one', async () => {
  const one = await open();
  isAway = true;
  one.type({ html: '<p>Mud' });
  await passes(900);
  scopes.splice(0).forEach((scope) => scope.stop());
  const later = await open();
  expect([later.typed.value.html, later.keeping.value]).toEqual(['<p>Mud', 'here']);
  later.type({ html: '<p>Mud, and more' });
  await passes(5000);
  expect(later.typed.value.html).toBe('<p>Mud, and more');
  isAway = false;
  await passes(5000);
  expect([there.html, later.keeping.value]).toEqual(['<p>Mud, and more', 'kept']);
  // What was changed elsewhere meanwhile is not written over by it.
  scopes.splice(0).forEach((scope) => scope.stop());
  isAway = true;
  const third = await open();
  third.type({ html: '<p>Mine' });
  await passes(1000);
  there = { ...there, version: 9, html: '<p>Theirs' };
  isAway = false;
  await passes(10_000);
  expect([third.typed.value.html, third.mine.value?.html, there.html]).toEqual([
    '<p>Theirs',
    '<p>Mine',
    '<p>Theirs',
  ]);
});

test('another version of a post begins with what stands there, its files among it', async () => {
  const post = await open({ html: '<p>Mine</p>', files: [FILE] });
  expect([post.typed.value.html, post.files.value]).toEqual(['<p>Mine</p>', [FILE]]);
  post.type({ html: '<p>Mine, again</p>' });
  await passes(800);
  expect([there.html, there.files]).toEqual(['<p>Mine, again</p>', [FILE]]);
});

test('posted or given up, nothing of it is begun any more, here or there', async () => {
  const post = await open();
  post.type({ html: '<p>Mud' });
  await passes(800);
  await post.giveUp();
  await passes(5000);
  expect([there.version, post.typed.value.html, asked.filter((one) => one === 'PUT')]).toEqual([
    0,
    '',
    ['PUT'],
  ]);
  expect(localStorage.length).toBe(0);
});
