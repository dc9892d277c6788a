/**
 * A discussion on a page: posts in their order whatever comes when, once however often they are sent, and nothing of one
 * thread in another.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { beforeEach, expect, test } from '@jest/globals';
import type { TalkAnswer, ThreadAnswer } from '@itinerary/contract';
import { useTalk } from '../../src/learner/coursework/talk/use-talk.ts';
import type { Post, Written } from '../../src/learner/coursework/talk/use-talk.ts';

const AT = '2027-03-02T09:00:00.000Z';
const post = (number: number, more: Partial<Post> = {}): Post => ({
  ...{
    id: `p${number}`,
    number,
    author: 'Noor',
    isOwn: false,
    isStaff: false,
    at: AT,
    html: `<p>${number}</p>`,
  },
  ...{
    editedAt: null,
    isRemoved: false,
    answers: null,
    isAnswer: false,
    files: [],
    mayChange: false,
    mayRemove: false,
  },
  ...more,
});
let posts: Post[];
let sent: { method: string; line: string; body: Record<string, unknown> }[];
let isDeaf: boolean;
let mustPost: boolean;

const thread = (id: string, after: number): ThreadAnswer => ({
  ...{ id, title: id, author: 'Noor', isOwn: false, at: AT, lastAt: AT, posts: posts.length, unread: 0 },
  ...{
    pinned: false,
    closed: false,
    isAnswered: false,
    group: null,
    mayPost: true,
    mustPost,
    mayLead: false,
  },
  ...{
    mayAnswer: false,
    mayAttach: true,
    isFollowed: false,
    zone: 'UTC',
    count: mustPost ? 1 : posts.length,
  },
  page: mustPost ? posts.slice(0, 1) : posts.filter(({ number }) => number > after).slice(0, 2),
});
const json = (body: object, status = 200): Promise<Response> =>
  isDeaf
    ? Promise.reject(new TypeError('lost'))
    : Promise.resolve(
        new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } }),
      );
function server(address: unknown, init?: RequestInit): Promise<Response> {
  const url = new URL(String(address), 'http://here');
  const line = url.pathname.split('/discussion')[1] ?? '';
  const method = init?.method ?? 'GET';
  const body = init?.body === undefined ? {} : (JSON.parse(String(init.body)) as Record<string, unknown>);
  if (method !== 'GET') sent.push({ method, line, body });
  if (line === '') {
    const find = url.searchParams.get('find') ?? '';
    return json({ ...TALK, threads: find === '' ? [] : [{ ...thread(find, 0), page: undefined }] });
  }
  const id = line.split('/')[2] ?? '';
  if (method === 'POST' && line.endsWith('/posts')) {
    const known = posts.find((one) => one.id === body['id']);
    if (known === undefined) posts = [...posts, post(posts.length + 1, { id: String(body['id']) })];
    mustPost = false;
    return json(thread(id, posts.length - 1));
  }
  if (method === 'DELETE')
    posts = posts.map((one) => (line.endsWith(one.id) ? { ...one, isRemoved: true } : one));
  const gone = method === 'DELETE' ? posts.findIndex((one) => line.endsWith(one.id)) : null;
  return json(thread(id, gone ?? Number(url.searchParams.get('after') ?? 0)));
}
const TALK: Omit<TalkAnswer, 'threads'> = {
  ...{ more: false, mayStart: true, mustPost: false, shut: false, mayLead: false, mayAttach: true },
  zone: 'UTC',
};
beforeEach(() => {
  posts = [1, 2, 3, 4, 5].map((number) => post(number));
  [sent, isDeaf, mustPost] = [[], false, false];
  globalThis.fetch = server as typeof fetch;
});
const says = (html: string): Written => ({ title: '', html, files: [] });
const numbers = (its: ReturnType<typeof useTalk>): number[] => its.posts.value.map(({ number }) => number);

test('what comes of a thread after it was left does not open it again', async () => {
  const its = useTalk('c', 'i');
  await its.load();
  await its.open('t');
  const late = its.refresh();
  const more = its.more();
  await its.open(null);
  await Promise.all([late, more]);
  expect([its.thread.value, its.posts.value]).toEqual([null, []]);
  const first = its.open('t');
  await its.open('u');
  await first;
  expect(its.thread.value?.id).toBe('u');
});

test('a long thread comes page by page, each post once and in its place', async () => {
  const its = useTalk('course', 'item');
  await its.open('t1');
  expect(numbers(its)).toEqual([1, 2]);
  await its.more();
  await its.more();
  expect(numbers(its)).toEqual([1, 2, 3, 4, 5]);
  posts = [...posts, post(6)];
  await its.refresh();
  await its.refresh();
  expect(numbers(its)).toEqual([1, 2, 3, 4, 5, 6]);
  await its.remove(its.posts.value[2]!);
  expect(its.posts.value.map(({ isRemoved }) => isRemoved)).toEqual([
    false,
    false,
    true,
    false,
    false,
    false,
  ]);
});

test('whoever posts before they have read all of it leaves nothing out', async () => {
  const its = useTalk('course', 'item');
  await its.open('t1');
  await its.post(says('<p>Mine</p>'), null);
  expect(numbers(its)).toEqual([1, 2, 6]);
  await its.more();
  await its.more();
  expect(numbers(its)).toEqual([1, 2, 3, 4, 5, 6]);
});

test('nothing of one thread stands in another', async () => {
  const its = useTalk('course', 'item');
  await its.open('t1');
  posts = [post(1, { id: 'other' })];
  await its.open('t2');
  expect(its.posts.value.map(({ id }) => id)).toEqual(['other']);
  await its.open(null);
  expect([its.thread.value, its.posts.value]).toEqual([null, []]);
});

test('posted, and the answer lost: sent again it is the same post; the next one has an id of its own', async () => {
  const its = useTalk('course', 'item');
  posts = [post(1)];
  await its.open('t1');
  isDeaf = true;
  await expect(its.post(says('<p>Mud</p>'), 'p1')).rejects.toThrow();
  isDeaf = false;
  await its.post(says('<p>Mud</p>'), 'p1');
  await its.post(says('<p>More mud</p>'), null);
  const ids = sent.map(({ body }) => body['id']);
  expect([ids[0] === ids[1], ids[1] === ids[2], posts.length]).toEqual([true, false, 3]);
  expect(numbers(its)).toEqual([1, 2, 3]);
});

test('after a first post of one’s own, what the others have said is there', async () => {
  const its = useTalk('course', 'item');
  mustPost = true;
  await its.open('t1');
  expect(numbers(its)).toEqual([1]);
  await its.post(says('<p>Mine</p>'), null);
  expect(numbers(its)).toEqual([1, 2, 6]);
  expect(its.thread.value?.count).toBe(6);
});

test('what is found is what was last looked for', async () => {
  const its = useTalk('course', 'item');
  await its.load();
  expect(its.talk.value?.threads).toEqual([]);
  its.find.value = 'mud';
  const early = its.load();
  its.find.value = 'sand';
  const late = its.load();
  await Promise.all([early, late]);
  expect(its.talk.value?.threads.map(({ id }) => id)).toEqual(['sand']);
});
