/**
 * Files on their way: a few at a time, with progress, on after a break, stopped, refused, or never sent at all.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import type { Problem, UploadAnswer } from '@itinerary/contract';
import { findNode, newItem } from '@itinerary/core';
import { createPinia, setActivePinia } from 'pinia';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import { ProblemError, UnreachableError } from '../../src/api/client.ts';
import { asRef, placeOf, titleOf } from '../../src/setup/files/arrivals.ts';
import { usePlan } from '../../src/stores/plan.ts';
import { useSession } from '../../src/stores/session.ts';
import type { LargerThan } from '../../src/stores/uploads.ts';
import { useUploads } from '../../src/stores/uploads.ts';
import { pieces, PiecesRequest } from '../support/pieces.ts';
import type { OnTheWay } from '../support/pieces.ts';

const realFetch = globalThis.fetch;
const realRequest = globalThis.XMLHttpRequest;
const LIMIT_MB = 10;
/** Uploads that were given to the course, once they were whole. */
let given: string[] = [];
function give(url: URL): Promise<Response> {
  given.push(`${url.pathname} ${url.searchParams.get('upload') ?? ''}`);
  const answer = JSON.stringify(came(url.searchParams.get('name') ?? ''));
  return Promise.resolve(
    new Response(answer, { status: 201, headers: { 'content-type': 'application/json' } }),
  );
}

beforeEach(async () => {
  jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick', 'performance'] });
  setActivePinia(createPinia());
  pieces.reset();
  localStorage.clear();
  given = [];
  globalThis.XMLHttpRequest = PiecesRequest as unknown as typeof XMLHttpRequest;
  const rights = { plan: true, state: true, members: true };
  globalThis.fetch = (address) =>
    // What is changed here waits for an answer for ever.
    String(address).includes('/files?')
      ? give(new URL(String(address), 'http://here'))
      : !String(address).endsWith('/plan')
        ? new Promise<never>(() => undefined)
        : Promise.resolve(
            new Response(JSON.stringify({ course: smallCourse(), seq: 0, learners: 0, texts: {}, rights }), {
              headers: { 'content-type': 'application/json' },
            }),
          );
  useSession().me = {
    person: null,
    now: '2027-02-16T09:42:00Z',
    clockStands: true,
    institution: { largestUpload: LIMIT_MB, terms: [], departments: [], holidays: [] },
  } as unknown as NonNullable<ReturnType<typeof useSession>['me']>;
  await usePlan().open('course');
});
afterEach(() => {
  jest.useRealTimers();
  globalThis.fetch = realFetch;
  globalThis.XMLHttpRequest = realRequest;
});

const file = (name: string, size = 5): File => {
  const made = new File(['x'.repeat(Math.min(size, 10))], name);
  Object.defineProperty(made, 'size', { value: size });
  return made;
};
const came = (name: string): UploadAnswer => ({
  width: null,
  height: null,
  hash: 'a'.repeat(64),
  name,
  size: 5,
  type: 'text/plain',
});
const settled = async (): Promise<void> => {
  for (let turn = 0; turn < 20; turn += 1) await jest.advanceTimersByTimeAsync(0);
};
const under = (name: string): OnTheWay => {
  const found = pieces.onTheWay.findLast((one) => one.name === name);
  if (found === undefined) throw new Error(`${name} is not on its way`);
  return found;
};

describe('on their way', () => {
  test('two at a time; the next one goes when one has come', async () => {
    const uploads = useUploads();
    const arrived: string[] = [];
    for (const name of ['one.txt', 'two.txt', 'three.txt'])
      uploads.add(file(name), (answer) => arrived.push(answer.name));
    expect(uploads.entries.map(({ state }) => state)).toEqual(['sending', 'sending', 'waiting']);
    await settled();
    expect(pieces.onTheWay.map(({ name }) => name)).toEqual(['one.txt', 'two.txt']);
    under('two.txt').arrive();
    await settled();
    expect([arrived, given]).toEqual([['two.txt'], ['/api/courses/course/files u1']]);
    expect(uploads.entries.map(({ name, state }) => `${name} ${state}`)).toEqual([
      'one.txt sending',
      'three.txt sending',
    ]);
  });

  test('say how far they are', async () => {
    const uploads = useUploads();
    uploads.add(file('film.mp4', 10), () => undefined);
    await settled();
    under('film.mp4').progress(4);
    expect(uploads.entries[0]).toMatchObject({ sent: 4, size: 10 });
  });

  test('go on from where they were, after the line was away', async () => {
    const uploads = useUploads();
    const arrived: string[] = [];
    uploads.add(file('film.mp4', 10), (answer) => arrived.push(answer.name));
    await settled();
    under('film.mp4').breakOff(4);
    await settled();
    expect(uploads.entries[0]).toMatchObject({ state: 'sending', error: null, isAway: true });
    await jest.advanceTimersByTimeAsync(300);
    await settled();
    expect(uploads.entries[0]).toMatchObject({ state: 'sending', error: null, isAway: false });
    // Asked how far it is, and sent from there on.
    expect(pieces.asked).toEqual(['POST', 'PATCH', 'HEAD', 'PATCH']);
    expect(pieces.stored.get('u0')).toMatchObject({ offset: 4 });
    under('film.mp4').arrive();
    await settled();
    expect([arrived, uploads.entries]).toEqual([['film.mp4'], []]);
  });

  test('chosen again on another page, one goes on too', async () => {
    const uploads = useUploads();
    const one = file('film.mp4', 10);
    uploads.add(one, () => undefined);
    await settled();
    under('film.mp4').breakOff(6);
    // That page is gone; its file is not.
    setActivePinia(createPinia());
    await usePlan().open('course');
    useSession().me = { institution: { largestUpload: LIMIT_MB } } as never;
    useUploads().add(one, () => undefined);
    await settled();
    expect(pieces.asked.filter((method) => method === 'POST')).toHaveLength(1);
    expect(pieces.asked.at(-1)).toBe('PATCH');
  });

  test('are stopped: one that is sending, one that waits, one that failed', async () => {
    const uploads = useUploads();
    const arrived: string[] = [];
    for (const name of ['a', 'b', 'c']) uploads.add(file(name), (answer) => arrived.push(answer.name));
    await settled();
    const [first, second, third] = uploads.entries.map(({ id }) => id) as [string, string, string];
    uploads.stop(third);
    expect(uploads.entries).toHaveLength(2);
    uploads.stop(first);
    await settled();
    expect(uploads.entries.map(({ id }) => id)).toEqual([second]);
    under('b').answer(403, { type: 'urn', title: 'No', status: 403, code: 'not_allowed' });
    await settled();
    expect(uploads.entries[0]?.state).toBe('failed');
    uploads.stop(second);
    expect(uploads.entries).toEqual([]);
    expect(arrived).toEqual([]);
    // Nobody waits for a place any more, and no third one was sent.
    expect(pieces.onTheWay).toHaveLength(2);
  });

  test('what the server says against one stays on the list, and the others go on', async () => {
    const uploads = useUploads();
    for (const name of ['tool.exe', 'b', 'c']) uploads.add(file(name), () => undefined);
    await settled();
    const problem = { type: 'urn', title: 'No', status: 400, code: 'bad_input', detail: 'is a program' };
    under('tool.exe').answer(400, problem as Problem);
    await settled();
    const [failed, ...others] = uploads.entries;
    expect(failed).toMatchObject({ name: 'tool.exe', state: 'failed' });
    expect(failed?.error).toBeInstanceOf(ProblemError);
    expect(others.map(({ state }) => state)).toEqual(['sending', 'sending']);
  });

  test('an answer that is none counts as no answer', async () => {
    const uploads = useUploads();
    uploads.add(file('a'), () => undefined);
    await settled();
    under('a').answer(400, '<html>Bad gateway</html>');
    await settled();
    expect(uploads.entries[0]?.error).toBeInstanceOf(UnreachableError);
  });
});

describe('the limit', () => {
  test('is the institution’s, or the course’s when that is lower, never higher', () => {
    const uploads = useUploads();
    const plan = usePlan();
    expect(uploads.limit).toBe(LIMIT_MB);
    plan.set('course', 'largestUpload', 3, null);
    expect(uploads.limit).toBe(3);
    plan.set('course', 'largestUpload', 500, 3);
    expect(uploads.limit).toBe(LIMIT_MB);
  });

  test('what is larger is never sent, and says so', async () => {
    const uploads = useUploads();
    uploads.add(file('film.mp4', LIMIT_MB * 1_000_000 + 1), () => undefined);
    await settled();
    expect(pieces.asked).toEqual([]);
    expect(uploads.entries[0]).toMatchObject({ state: 'failed', sent: 0 });
    expect((uploads.entries[0]?.error as LargerThan).megabytes).toBe(LIMIT_MB);
    uploads.add(file('just.mp4', LIMIT_MB * 1_000_000), () => undefined);
    await settled();
    expect(pieces.onTheWay).toHaveLength(1);
  });
});

describe('what a file that has come is made into', () => {
  test.each([
    ['shore_walk  notes.PDF', 'shore walk notes'],
    ['archive.tar.gz', 'archive.tar'],
    ['.hidden', '.hidden'],
    ['no ending', 'no ending'],
    [`${'x'.repeat(300)}.txt`, 'x'.repeat(200)],
  ])('%s is called %s', (name, title) => expect(titleOf(name)).toBe(title));

  test('it says nothing yet of what it shows', () =>
    expect(asRef(came('a.txt'))).toMatchObject({ name: 'a.txt', alt: null, author: null, licence: null }));

  test('its place is there only while its neighbour is', () => {
    const course = smallCourse();
    expect(placeOf(course, 'a1')).toBe('A');
    expect(placeOf(course, 'gone')).toBeNull();
    expect(placeOf(null, 'a1')).toBeNull();
    const item = newItem('page', { id: 'late', title: 'Late', removed: true });
    const removed = {
      ...course,
      sections: course.sections.map((one) => ({ ...one, items: [...one.items, item] })),
    };
    expect(findNode(removed, 'late')).not.toBeNull();
    expect(placeOf(removed, 'late')).toBeNull();
  });
});
