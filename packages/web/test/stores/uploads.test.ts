/** Files on their way: a few at a time, with progress, stopped, refused, or never sent at all. */
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

/** A request that goes as the test says. */
class FakeRequest {
  static made: FakeRequest[] = [];
  readonly heard = new Map<string, (event: unknown) => void>();
  readonly upload = {
    addEventListener: (name: string, hear: (event: unknown) => void) => this.heard.set(`up ${name}`, hear),
  };
  address = '';
  sent: unknown = null;
  status = 0;
  responseText = '';

  constructor() {
    FakeRequest.made.push(this);
  }
  addEventListener(name: string, hear: (event: unknown) => void): void {
    this.heard.set(name, hear);
  }
  open(_method: string, address: string): void {
    this.address = address;
  }
  setRequestHeader(): void {}
  send(body: unknown): void {
    this.sent = body;
  }
  abort(): void {
    this.heard.get('abort')?.({});
  }
  progress(loaded: number): void {
    this.heard.get('up progress')?.({ loaded });
  }
  answer(status: number, body: unknown): void {
    this.status = status;
    this.responseText = typeof body === 'string' ? body : JSON.stringify(body);
    this.heard.get('load')?.({});
  }
  away(): void {
    this.heard.get('error')?.({});
  }
}

const realFetch = globalThis.fetch;
const realRequest = globalThis.XMLHttpRequest;
const LIMIT_MB = 10;

beforeEach(async () => {
  jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick', 'performance'] });
  setActivePinia(createPinia());
  FakeRequest.made = [];
  globalThis.XMLHttpRequest = FakeRequest as unknown as typeof XMLHttpRequest;
  const rights = { plan: true, state: true, members: true };
  globalThis.fetch = (address) =>
    // What is changed here waits for an answer for ever.
    !String(address).endsWith('/plan')
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
const settled = (): Promise<void> => jest.advanceTimersByTimeAsync(0);

describe('on their way', () => {
  test('two at a time; the next one goes when one has come', async () => {
    const uploads = useUploads();
    const arrived: string[] = [];
    for (const name of ['one.txt', 'two.txt', 'three.txt'])
      uploads.add(file(name), (answer) => arrived.push(answer.name));
    expect(uploads.entries.map(({ state }) => state)).toEqual(['sending', 'sending', 'waiting']);
    expect(FakeRequest.made.map(({ address }) => address)).toEqual([
      '/api/courses/course/files?name=one.txt',
      '/api/courses/course/files?name=two.txt',
    ]);
    FakeRequest.made[1]!.answer(201, came('two.txt'));
    await settled();
    expect(arrived).toEqual(['two.txt']);
    expect(uploads.entries.map(({ name, state }) => `${name} ${state}`)).toEqual([
      'one.txt sending',
      'three.txt sending',
    ]);
  });

  test('say how far they are', () => {
    const uploads = useUploads();
    uploads.add(file('film.mp4', 5000), () => undefined);
    FakeRequest.made[0]!.progress(1250);
    expect(uploads.entries[0]).toMatchObject({ sent: 1250, size: 5000 });
  });

  test('are stopped: one that is sending, one that waits, one that failed', async () => {
    const uploads = useUploads();
    const arrived: string[] = [];
    for (const name of ['a', 'b', 'c']) uploads.add(file(name), (answer) => arrived.push(answer.name));
    const [first, second, third] = uploads.entries.map(({ id }) => id) as [string, string, string];
    uploads.stop(third);
    expect(uploads.entries).toHaveLength(2);
    uploads.stop(first);
    await settled();
    expect(uploads.entries.map(({ id }) => id)).toEqual([second]);
    FakeRequest.made[1]!.away();
    await settled();
    expect(uploads.entries[0]?.state).toBe('failed');
    uploads.stop(second);
    expect(uploads.entries).toEqual([]);
    expect(arrived).toEqual([]);
    // Nobody waits for a place any more, and no third request was made.
    expect(FakeRequest.made).toHaveLength(2);
  });

  test('what the server says against one stays on the list, and the others go on', async () => {
    const uploads = useUploads();
    for (const name of ['tool.exe', 'b', 'c']) uploads.add(file(name), () => undefined);
    const problem = { type: 'urn', title: 'No', status: 400, code: 'bad_input', detail: 'is a program' };
    FakeRequest.made[0]!.answer(400, problem as Problem);
    await settled();
    const [failed, ...others] = uploads.entries;
    expect(failed).toMatchObject({ name: 'tool.exe', state: 'failed' });
    expect(failed?.error).toBeInstanceOf(ProblemError);
    expect(others.map(({ state }) => state)).toEqual(['sending', 'sending']);
  });

  test('an answer that is none counts as no answer', async () => {
    const uploads = useUploads();
    uploads.add(file('a'), () => undefined);
    FakeRequest.made[0]!.answer(502, '<html>Bad gateway</html>');
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

  test('what is larger is never sent, and says so', () => {
    const uploads = useUploads();
    uploads.add(file('film.mp4', LIMIT_MB * 1_000_000 + 1), () => undefined);
    expect(FakeRequest.made).toEqual([]);
    expect(uploads.entries[0]).toMatchObject({ state: 'failed', sent: 0 });
    expect((uploads.entries[0]?.error as LargerThan).megabytes).toBe(LIMIT_MB);
    uploads.add(file('just.mp4', LIMIT_MB * 1_000_000), () => undefined);
    expect(FakeRequest.made).toHaveLength(1);
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
