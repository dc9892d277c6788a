/** What pages that are gone have left on the device is shown on the desk, whatever the server does meanwhile. */
import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { clear, createStore, set } from 'idb-keyval';
import { keptOnDevice } from '../../src/desk/kept-on-device.ts';
import type { KeptCourse } from '../../src/desk/kept-on-device.ts';

const ROOM = createStore('itinerary', 'kept');
const leave = (course: string, count: number): Promise<void> => {
  const changes = Array.from({ length: count }, (_one, at) => ({ id: `${course}-${at}`, edits: [] }));
  const kept = { person: 'ines', course, page: `gone-${course}`, seq: 0, changes, texts: {} };
  return set(JSON.stringify(['ines', course, kept.page]), kept, ROOM);
};
const answer = (status: number, body: object): Response =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
const problem = (status: number, code: string): Response =>
  answer(status, { type: 'urn:itinerary:problem', title: 'T', status, code });

/** What the server answers of each course, one after another. */
let answers: Record<string, (() => Response)[]>;
let told: KeptCourse[];
let isWanted: boolean;
beforeEach(async () => {
  jest.useRealTimers();
  await clear(ROOM);
  [answers, told, isWanted] = [{}, [], true];
  globalThis.fetch = ((address: unknown) => {
    const [, course = ''] = /learn\/(\w+)\/frame/.exec(String(address)) ?? [];
    const next = answers[course]?.shift();
    return next === undefined ? Promise.reject(new TypeError('away')) : Promise.resolve(next());
  }) as typeof fetch;
  jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick', 'setImmediate', 'clearImmediate'] });
});
const pass = async (ms: number): Promise<void> => {
  for (let at = 0; at < 20; at += 1) await jest.advanceTimersByTimeAsync(ms / 20);
};

describe('what is kept on this device', () => {
  test('is told once the server says what its course is called, however long that takes', async () => {
    await leave('shore', 3);
    await leave('night', 1);
    answers = {
      shore: [() => problem(503, 'busy'), () => problem(500, 'internal'), () => answer(200, { title: 'S' })],
      night: [() => answer(200, { title: 'N' })],
    };
    const all = keptOnDevice(
      'ines',
      (one) => told.push(one),
      () => isWanted,
    );
    await pass(500);
    // One does not wait for the other.
    expect(told).toEqual([{ id: 'night', title: 'N', count: 1 }]);
    await pass(4000);
    expect(told.slice(1)).toEqual([{ id: 'shore', title: 'S', count: 3 }]);
    await all;
  });

  test('of a course that is no longer theirs is left out, as is what is not theirs', async () => {
    await leave('shore', 3);
    answers = { shore: [() => problem(404, 'not_found'), () => answer(200, { title: 'S' })] };
    const all = keptOnDevice(
      'ines',
      (one) => told.push(one),
      () => isWanted,
    );
    const others = keptOnDevice(
      'tunde',
      (one) => told.push(one),
      () => isWanted,
    );
    await pass(60_000);
    await Promise.all([all, others]);
    expect(told).toEqual([]);
  });

  test('is asked for no longer once nobody looks', async () => {
    await leave('shore', 3);
    const all = keptOnDevice(
      'ines',
      (one) => told.push(one),
      () => isWanted,
    );
    await pass(3000);
    isWanted = false;
    answers = { shore: [() => answer(200, { title: 'S' })] };
    await pass(60_000);
    await all;
    expect([told, answers['shore']?.length]).toEqual([[], 1]);
  });
});
