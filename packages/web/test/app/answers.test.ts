/** Asking the server, and what a page makes of the answer. */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { effectScope, nextTick, ref } from 'vue';
import { createPinia, setActivePinia } from 'pinia';
import type { Ref } from 'vue';
import { ask, path, ProblemError, UnreachableError } from '../../src/api/client.ts';
import { readFirstAnswers } from '../../src/api/first-answers.ts';
import { useAnswer } from '../../src/api/use-answer.ts';
import { useSession } from '../../src/stores/session.ts';

type Fetch = typeof globalThis.fetch;
const realFetch = globalThis.fetch;
let fetched: jest.Mock<Fetch>;

beforeEach(() => {
  fetched = jest.fn<Fetch>();
  globalThis.fetch = fetched;
});
afterEach(() => {
  globalThis.fetch = realFetch;
});

const json = (body: unknown, status = 200): Response =>
  new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': status < 400 ? 'application/json' : 'application/problem+json' },
  });
const problem = (code: string, status: number): Response =>
  json({ type: 'urn', title: 'T', detail: 'D', status, code }, status);

/** As much of a page as is read of it: one element, which is taken out. */
function pageWith(text: string): { readonly page: Document; readonly removed: () => number } {
  let removed = 0;
  const element = { textContent: text, remove: () => (removed += 1) };
  const page = { getElementById: (id: string) => (id === 'first-answers' ? element : null) };
  return { page: page as unknown as Document, removed: () => removed };
}

describe('what a page has already', () => {
  const marked = (body: unknown, tag: string): Response =>
    new Response(JSON.stringify(body), { headers: { 'content-type': 'application/json', etag: tag } });
  const marks = (): (string | null)[] =>
    fetched.mock.calls.map(([, init]) => new Headers(init?.headers).get('if-none-match'));

  test('is not sent again, and is the same object; what is another is', async () => {
    const params = { course: 'known' };
    fetched
      .mockResolvedValueOnce(marked({ title: 'One' }, 'W/"1"'))
      .mockResolvedValueOnce(new Response(null, { status: 304 }))
      .mockResolvedValueOnce(marked({ title: 'Two' }, 'W/"2"'))
      .mockResolvedValueOnce(json({ title: 'Three' }))
      .mockResolvedValueOnce(json({ title: 'Four' }));
    const get = (): Promise<unknown> => ask('GET /api/learn/{course}/frame', { params });
    const first = await get();
    expect(await get()).toBe(first);
    expect(await get()).toEqual({ title: 'Two' });
    await get();
    await get();
    // One that came without a mark is not asked about by one.
    expect(marks()).toEqual([null, 'W/"1"', 'W/"1"', 'W/"2"', null]);
  });

  test('is of its address alone, and of a question that is asked, not of what is sent', async () => {
    fetched.mockImplementation(() => Promise.resolve(marked({}, 'W/"x"')));
    await ask('GET /api/learn/{course}/frame', { params: { course: 'a' } });
    await ask('GET /api/learn/{course}/frame', { params: { course: 'b' } });
    await ask('DELETE /api/session', {});
    await ask('DELETE /api/session', {});
    expect(marks()).toEqual([null, null, null, null]);
  });

  test('is of the last thirty addresses', async () => {
    fetched.mockImplementation(() => Promise.resolve(marked({}, 'W/"x"')));
    for (let at = 0; at < 31; at += 1)
      await ask('GET /api/learn/{course}/frame', { params: { course: `many-${at}` } });
    fetched.mockClear();
    await ask('GET /api/learn/{course}/frame', { params: { course: 'many-0' } });
    await ask('GET /api/learn/{course}/frame', { params: { course: 'many-30' } });
    expect(marks()).toEqual([null, 'W/"x"']);
  });
});

describe('answers that come with the page', () => {
  test('are for the first who asks; then the server is asked', async () => {
    const { page, removed } = pageWith(JSON.stringify({ '/api/desk': { a: 1 }, '/api/y': null }));
    readFirstAnswers(page);
    expect(removed()).toBe(1);
    // What changes something is never answered from what was there before.
    fetched.mockImplementation(() => Promise.resolve(json({ a: 2 })));
    expect(await ask('DELETE /api/session', {})).toEqual({ a: 2 });
    expect(fetched).toHaveBeenCalledTimes(1);
    expect(await ask('GET /api/desk', {})).toEqual({ a: 1 });
    expect(fetched).toHaveBeenCalledTimes(1);
    expect(await ask('GET /api/desk', {})).toEqual({ a: 2 });
    expect(fetched).toHaveBeenCalledTimes(2);
  });

  test('are none on a page without them', async () => {
    readFirstAnswers({ getElementById: () => null } as unknown as Document);
    fetched.mockResolvedValue(json({ a: 3 }));
    expect(await ask('GET /api/desk', {})).toEqual({ a: 3 });
  });
});

describe('asking', () => {
  test('gives the answer', async () => {
    fetched.mockResolvedValue(json({ a: 1 }));
    expect(await ask('GET /api/desk', {})).toEqual({ a: 1 });
    expect(fetched.mock.calls[0]?.[1]).toMatchObject({ method: 'GET', credentials: 'same-origin' });
  });

  test('sends a body as JSON', async () => {
    fetched.mockResolvedValue(json({}));
    await ask('POST /api/demo/session', { body: { person: 'low' } });
    expect(fetched.mock.calls[0]?.[1]).toMatchObject({ method: 'POST', body: '{"person":"low"}' });
  });

  test('gives nothing where there is nothing', async () => {
    fetched.mockResolvedValue(new Response(null, { status: 204 }));
    expect(await ask('GET /api/desk', {})).toBeUndefined();
  });

  test('says what the server said no to', async () => {
    fetched.mockImplementation(() => Promise.resolve(problem('not_allowed', 403)));
    await expect(ask('GET /api/desk', {})).rejects.toMatchObject({
      problem: { code: 'not_allowed', status: 403 },
      message: 'D',
    });
    await expect(ask('GET /api/desk', {})).rejects.toBeInstanceOf(ProblemError);
  });

  test('tells no answer, and an answer that is not ours, from a no', async () => {
    fetched.mockRejectedValueOnce(new TypeError('Failed to fetch'));
    await expect(ask('GET /api/desk', {})).rejects.toBeInstanceOf(UnreachableError);
    fetched.mockResolvedValueOnce(
      new Response('<h1>502</h1>', { status: 502, headers: { 'content-type': 'text/html' } }),
    );
    await expect(ask('GET /api/desk', {})).rejects.toBeInstanceOf(UnreachableError);
  });

  test('makes the parts of a path safe', () => {
    expect(path`/api/codes/${'a/b?c'}`).toBe('/api/codes/a%2Fb%3Fc');
    expect(path`/api/${'x y'}/z`).toBe('/api/x%20y/z');
  });
});

describe('a page’s answer', () => {
  const settle = async (): Promise<void> => {
    for (let at = 0; at < 6; at += 1) await nextTick();
    await new Promise((done) => setTimeout(done, 0));
  };
  interface Used extends ReturnType<typeof useAnswer<'GET /api/codes/{code}'>> {
    readonly code: Ref<string>;
    readonly leave: () => void;
  }
  const use = (code = ref('a')): Used => {
    const scope = effectScope();
    const used = scope.run(() =>
      useAnswer('GET /api/codes/{code}', () => ({ params: { code: code.value } })),
    );
    if (used === undefined) throw new Error('no scope');
    return { ...used, code, leave: () => scope.stop() };
  };

  test('is loading, then there', async () => {
    fetched.mockResolvedValue(json({ n: 1 }));
    const { answer, state } = use();
    expect(state.value).toBe('loading');
    await settle();
    expect([state.value, answer.value]).toEqual(['there', { n: 1 }]);
  });

  test.each([
    ['not_found', 404, 'nothing'],
    ['not_allowed', 403, 'nothing'],
    ['internal', 500, 'failed'],
  ])('after %s is %s: %s', async (code, status, expected) => {
    fetched.mockResolvedValue(problem(code, status));
    const { state } = use();
    await settle();
    expect(state.value).toBe(expected);
  });

  test('can be tried again', async () => {
    fetched.mockRejectedValueOnce(new TypeError('x')).mockResolvedValueOnce(json({ n: 2 }));
    const { answer, state, reload } = use();
    await settle();
    expect(state.value).toBe('failed');
    await reload();
    expect([state.value, answer.value]).toEqual(['there', { n: 2 }]);
  });

  test('is that of the last address, also when an earlier one answers later', async () => {
    let answerFirst: (response: Response) => void = () => undefined;
    fetched
      .mockImplementationOnce(() => new Promise((resolve) => (answerFirst = resolve)))
      .mockResolvedValueOnce(json({ n: 2 }));
    const { answer, code } = use();
    code.value = 'b';
    await settle();
    answerFirst(json({ n: 1 }));
    await settle();
    expect(answer.value).toEqual({ n: 2 });
  });

  /** Answers that come when they are told to. */
  function slowly(): ((response: Response) => void)[] {
    const waiting: ((response: Response) => void)[] = [];
    fetched.mockImplementation(() => new Promise((resolve) => waiting.push(resolve)));
    return waiting;
  }

  test('is asked for once more, however much is told while it is under way, and what is under way arrives', async () => {
    const waiting = slowly();
    const { answer, state, refresh } = use();
    const told = [refresh(), refresh(), refresh()];
    await settle();
    expect(fetched).toHaveBeenCalledTimes(1);
    waiting[0]?.(json({ n: 1 }));
    await settle();
    expect([state.value, answer.value]).toEqual(['there', { n: 1 }]);
    expect(fetched).toHaveBeenCalledTimes(2);
    waiting[1]?.(json({ n: 2 }));
    await Promise.all(told);
    expect([state.value, answer.value]).toEqual(['there', { n: 2 }]);
    void refresh();
    expect(fetched).toHaveBeenCalledTimes(3);
  });

  test('of another address is not asked for on behalf of the one before', async () => {
    const waiting = slowly();
    const { answer, code, refresh } = use();
    void refresh();
    code.value = 'b';
    await settle();
    const asked = (): (string | undefined)[] => fetched.mock.calls.map(([url]) => url?.toString());
    expect(asked()).toEqual(['/api/codes/a', '/api/codes/b']);
    // Told while the new one is under way, and before the old one has come.
    void refresh();
    waiting[0]?.(json({ n: 1 }));
    await settle();
    expect(asked()).toEqual(['/api/codes/a', '/api/codes/b']);
    waiting[1]?.(json({ n: 2 }));
    await settle();
    expect(asked()).toEqual(['/api/codes/a', '/api/codes/b', '/api/codes/b']);
    expect(answer.value).toEqual({ n: 2 });
  });

  test('that is told of before there is one, and does not come, has failed; what is there stays', async () => {
    fetched.mockRejectedValueOnce(new TypeError('x')).mockRejectedValueOnce(new TypeError('x'));
    const { answer, state, refresh, reload } = use();
    await refresh();
    expect(state.value).toBe('failed');
    fetched.mockResolvedValueOnce(json({ n: 1 })).mockRejectedValueOnce(new TypeError('x'));
    await reload();
    await refresh();
    expect([state.value, answer.value]).toEqual(['there', { n: 1 }]);
  });

  test('of a page that has been left leads nobody anywhere', async () => {
    let answerLate: (response: Response) => void = () => undefined;
    fetched.mockImplementationOnce(() => new Promise((resolve) => (answerLate = resolve)));
    const { answer, state, leave } = use();
    leave();
    // The session has ended meanwhile; there is no `location` here, so that going there would throw.
    answerLate(problem('not_signed_in', 401));
    await settle();
    expect(answer.value).toBeNull();
    expect(state.value).toBe('loading');
  });

  test('leads whoever signs out nowhere: their own press does', async () => {
    jest.useFakeTimers({ doNotFake: ['setTimeout', 'nextTick', 'queueMicrotask', 'performance'] });
    const went: string[] = [];
    const place = { pathname: '/desk', assign: (address: string) => went.push(address) };
    Object.defineProperty(globalThis, 'location', { value: place, configurable: true });
    try {
      setActivePinia(createPinia());
      const session = useSession();
      fetched.mockResolvedValueOnce(json({ n: 1 }));
      const { refresh } = use();
      await settle();
      // The stream ends with the session, and the page asks again before the press has gone on.
      fetched.mockImplementation((url) =>
        Promise.resolve(url?.toString() === '/api/me' ? json({}) : problem('not_signed_in', 401)),
      );
      fetched.mockResolvedValueOnce(json({}));
      const press = session.signOut(refresh);
      await Promise.all([refresh(), press]);
      expect(went).toEqual([]);
      // Who did not get out is still here, and is led to sign in once their session ends by itself.
      fetched.mockRejectedValueOnce(new TypeError('x'));
      await expect(session.signOut(refresh)).rejects.toThrow();
      await refresh();
      expect(went).toEqual(['/sign-in?then=%2Fdesk']);
    } finally {
      Reflect.deleteProperty(globalThis, 'location');
      jest.useRealTimers();
    }
  });
});
