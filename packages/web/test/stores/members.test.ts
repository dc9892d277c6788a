/**
 * Who is on the course, asked and changed at once: what was asked before a change says nothing newer.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { useMembers } from '../../src/stores/members.ts';
import { usePlan } from '../../src/stores/plan.ts';

const answers: ((names: readonly string[]) => void)[] = [];
const fetched = (): Promise<Response> =>
  new Promise((resolve) => {
    answers.push((names) => {
      const members = names.map((name) => ({ person: name, name, role: 'learner', groups: ['g'] }));
      resolve(
        new Response(JSON.stringify({ members, total: members.length, found: members.length }), {
          headers: { 'content-type': 'application/json' },
        }),
      );
    });
  });
const names = (): readonly string[] => useMembers().all.map(({ name }) => name);
const settled = (): Promise<void> => new Promise((done) => setTimeout(done));

beforeEach(() => {
  setActivePinia(createPinia());
  answers.length = 0;
  jest.spyOn(globalThis, 'fetch').mockImplementation(fetched);
});
afterEach(() => {
  jest.restoreAllMocks();
});

test('a change that is answered while they are asked for is shown, and they are asked for once more', async () => {
  const members = useMembers();
  const loading = members.load('course', 'en');
  const adding = members.add(['b'], 'learner');
  answers[1]?.(['a', 'b']);
  await adding;
  expect(names()).toEqual(['a', 'b']);
  answers[0]?.(['a']);
  await settled();
  expect(names()).toEqual(['a', 'b']);
  answers[2]?.(['a', 'b', 'c']);
  await loading;
  expect(names()).toEqual(['a', 'b', 'c']);
  expect([usePlan().learners, usePlan().groupSizes]).toEqual([3, { g: 3 }]);
});

test('of two courses asked for the last counts, and nobody of the other is shown', async () => {
  const members = useMembers();
  const first = members.load('course', 'en');
  answers[0]?.(['a']);
  await first;
  void members.load('other', 'en');
  expect([names(), members.isThere]).toEqual([[], false]);
  const third = members.load('third', 'en');
  answers[2]?.(['c']);
  await third;
  answers[1]?.(['b']);
  await settled();
  expect(names()).toEqual(['c']);
});
