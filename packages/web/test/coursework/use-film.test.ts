/**
 * Watching on its way to the server: what was played is told once, a jump is no run, and neither a lost line nor a page
 * that goes away loses any of it.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import type { FilmAnswer, WatchedBody } from '@itinerary/contract';
import { effectScope } from 'vue';
import type { EffectScope } from 'vue';
import { useFilm } from '../../src/learner/coursework/film/use-film.ts';
import type { FilmWatching } from '../../src/learner/coursework/film/use-film.ts';

let scope: EffectScope;
let sent: WatchedBody[];
/** As the server has it. */
let runs: { from: number; to: number }[];
let position: number;
let line: 'good' | 'lost' | 'answer lost';
let refusal: string | null;
let code: string;
let film: string;

const json = (body: object, status = 200): Promise<Response> =>
  Promise.resolve(
    new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } }),
  );
const watched = (): NonNullable<FilmAnswer['watched']> => ({ runs, position, share: null });
function server(_address: unknown, init?: RequestInit): Promise<Response> {
  if (line === 'lost') return Promise.reject(new TypeError('lost'));
  if (init?.method !== 'POST') {
    const words = { seconds: 100, chapters: [], captions: [], wanted: 80, mayLook: false };
    return json({ ...words, film, watched: watched() });
  }
  const body = JSON.parse(String(init.body)) as WatchedBody;
  if (refusal !== null) {
    const problem = {
      title: 'No',
      code,
      errors: [{ path: refusal, value: '', expected: '' }],
    };
    return json({ ...problem, type: 'about:blank', status: 409 }, 409);
  }
  if (!sent.some(({ id }) => id === body.id)) {
    runs = [...runs, ...body.runs];
    ({ position } = body);
  }
  sent.push(body);
  return line === 'answer lost' ? Promise.reject(new TypeError('lost')) : json(watched());
}
async function opened(): Promise<FilmWatching> {
  scope?.stop();
  scope = effectScope();
  const its = scope.run(() => useFilm('c', 'i', 'p')) as FilmWatching;
  await its.load();
  return its;
}
/** The page goes away, and what it said last is on its way. */
async function gone(): Promise<void> {
  scope.stop();
  await new Promise((resolve) => setTimeout(resolve));
}
/** Plays from one second to another, a word of the player every quarter. */
function play(its: FilmWatching, from: number, to: number, rate = 1): void {
  for (let now = from; now <= to; now += 0.25 * rate) its.at(now * 1000, rate);
  its.stop(to * 1000);
}
const seconds = (all: readonly { from: number; to: number }[]): unknown =>
  all.map((run) => [run.from / 1000, run.to / 1000]);

beforeEach(() => {
  localStorage.clear();
  [sent, runs, position, line, refusal, film] = [[], [], 0, 'good', null, 'f'];
  code = 'cannot_hand_in';
  globalThis.fetch = server as typeof fetch;
});
afterEach(() => {
  scope.stop();
  jest.useRealTimers();
});

describe('what was played', () => {
  test('is told as runs, with where one is; what was jumped over is in none', async () => {
    const its = await opened();
    play(its, 0, 10);
    play(its, 60, 65);
    expect(seconds(its.runs.value)).toEqual([
      [0, 10],
      [60, 65],
    ]);
    expect(its.isKept.value).toBe(false);
    await its.report();
    expect(sent).toHaveLength(1);
    expect(seconds(sent[0]?.runs ?? [])).toEqual([
      [0, 10],
      [60, 65],
    ]);
    expect([sent[0]?.position, its.isKept.value]).toEqual([65_000, true]);
    await its.report();
    expect(sent).toHaveLength(1);
  });

  test('a leap between two words of the player is a jump; played fast it is none', async () => {
    const its = await opened();
    its.at(0, 1);
    its.at(1900, 1);
    its.at(4000, 1);
    its.at(4500, 1);
    its.at(12_000, 4);
    its.at(19_000, 4);
    // Backwards too.
    its.at(3000, 1);
    its.at(3200, 1);
    await its.report();
    expect(seconds(sent[0]?.runs ?? [])).toEqual([
      [0, 1.9],
      [3, 3.2],
      [4, 19],
    ]);
  });

  test('is told every quarter of a minute, and as the page goes away', async () => {
    jest.useFakeTimers();
    const its = await opened();
    play(its, 0, 5);
    await jest.advanceTimersByTimeAsync(15_000);
    expect(sent).toHaveLength(1);
    play(its, 5, 8);
    scope.stop();
    await jest.advanceTimersByTimeAsync(0);
    expect(seconds(sent[1]?.runs ?? [])).toEqual([[5, 8]]);
    await jest.advanceTimersByTimeAsync(60_000);
    expect(sent).toHaveLength(2);
  });
});

describe('the line breaks', () => {
  test('nothing of it is lost, and it is told under one id however often', async () => {
    const its = await opened();
    play(its, 0, 10);
    line = 'answer lost';
    await its.report();
    expect(its.isKept.value).toBe(false);
    play(its, 10, 20);
    line = 'good';
    await its.report();
    await its.report();
    expect(sent.map(({ id }) => id)).toEqual([sent[0]?.id, sent[0]?.id, sent[2]?.id]);
    expect(seconds(runs)).toEqual([
      [0, 10],
      [10, 20],
    ]);
    expect([seconds(its.runs.value), its.isKept.value]).toEqual([[[0, 20]], true]);
  });

  test('a page that is opened anew goes on with it', async () => {
    const its = await opened();
    play(its, 0, 10);
    line = 'lost';
    await its.report();
    await gone();
    line = 'good';
    const again = await opened();
    expect(seconds(again.runs.value)).toEqual([[0, 10]]);
    await again.report();
    expect(seconds(runs)).toEqual([[0, 10]]);
    expect(localStorage).toHaveLength(0);
  });

  test('a page that went away before it was answered sends the same report again', async () => {
    const its = await opened();
    play(its, 0, 10);
    line = 'answer lost';
    await its.report();
    await gone();
    line = 'good';
    const again = await opened();
    await again.report();
    const played = sent.filter(({ runs: some }) => some.length > 0);
    expect([played.length > 1, new Set(played.map(({ id }) => id)).size]).toEqual([true, 1]);
    expect([seconds(runs), again.isKept.value]).toEqual([[[0, 10]], true]);
  });

  test('of another film nothing is told that was played of the one before', async () => {
    const its = await opened();
    play(its, 0, 10);
    line = 'lost';
    await its.report();
    await gone();
    line = 'good';
    film = 'g';
    const again = await opened();
    await again.report();
    expect([sent, again.runs.value]).toEqual([[], []]);
  });
});

test('told too soon it is told again with what comes; refused otherwise it is gone', async () => {
  const its = await opened();
  play(its, 0, 10);
  refusal = 'too_fast';
  await its.report();
  expect([seconds(its.runs.value), its.isKept.value]).toEqual([[[0, 10]], false]);
  refusal = null;
  play(its, 10, 12);
  await its.report();
  expect(seconds(sent[0]?.runs ?? [])).toEqual([[0, 12]]);
  play(its, 20, 30);
  refusal = 'item';
  await its.report();
  expect([seconds(its.runs.value), its.isKept.value]).toEqual([[[0, 12]], true]);
});

test('what the server could not do just then is asked again, and nothing of it is lost', async () => {
  const its = await opened();
  play(its, 0, 10);
  refusal = 'anything';
  for (code of ['busy', 'database_away', 'internal', 'not_signed_in', 'too_often']) {
    await its.report();
    expect([seconds(its.runs.value), its.isKept.value]).toEqual([[[0, 10]], false]);
  }
  refusal = null;
  await its.report();
  expect([seconds(runs), its.isKept.value]).toEqual([[[0, 10]], true]);
});
