/** People in groups: dealt evenly, and seen at a glance. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { dealGroups, groupsFor, standingIn } from '../../src/people/index.ts';
import type { Dealt } from '../../src/people/index.ts';
import { randomness } from '../support/randomness.ts';

const empty = (many: number): readonly (readonly Dealt[])[] => Array.from({ length: many }, () => []);
const spread = (counts: readonly number[]): number => Math.max(...counts) - Math.min(...counts);

describe('dealt', () => {
  test('a number makes so many groups, a size so many that none is larger', () => {
    expect(groupsFor(10, { by: 'number', groups: 3 })).toBe(3);
    expect([9, 10, 12, 0].map((people) => groupsFor(people, { by: 'size', most: 3 }))).toEqual([3, 4, 4, 1]);
    expect(groupsFor(10, { by: 'size', most: 0 })).toBe(10);
    expect(groupsFor(10, { by: 'number', groups: 0 })).toBe(1);
  });

  test('everybody is in one group, groups are as large and as mixed as any other', () => {
    const people = fc
      .array(fc.constantFrom('A', 'B', 'C', null), { maxLength: 40 })
      .map((kinds) => kinds.map((of, at): Dealt => ({ person: `p${at}`, of })));
    fc.assert(
      fc.property(people, fc.integer({ min: 1, max: 9 }), fc.integer(), (all, groups, seed) => {
        const dealt = dealGroups(all, empty(groups), randomness(seed));
        expect(dealt.flat().sort()).toEqual(all.map(({ person }) => person).sort());
        expect(spread(dealt.map((group) => group.length))).toBeLessThanOrEqual(1);
        for (const kind of ['A', 'B', 'C', null]) {
          const of = new Set(all.filter((one) => one.of === kind).map(({ person }) => person));
          const counts = dealt.map((group) => group.filter((one) => of.has(one)).length);
          expect(spread(counts)).toBeLessThanOrEqual(1);
        }
      }),
      { numRuns: 1000, seed: 20270216 },
    );
  });

  test('the same beginning deals the same, and another something else', () => {
    const all = Array.from({ length: 12 }, (_, at): Dealt => ({ person: `p${at}`, of: null }));
    const from = (seed: number): unknown => dealGroups(all, empty(3), randomness(seed));
    expect(from(1)).toEqual(from(1));
    expect(new Set([1, 2, 3, 4].map((seed) => JSON.stringify(from(seed)))).size).toBe(4);
  });

  test('nobody has a place of their own: over many deals each is everywhere about as often', () => {
    const all = Array.from({ length: 6 }, (_, at): Dealt => ({ person: `p${at}`, of: at < 3 ? 'A' : 'B' }));
    const random = randomness(7);
    const counts = [0, 0, 0];
    for (let deal = 0; deal < 3000; deal += 1) {
      const at = dealGroups(all, empty(3), random).findIndex((group) => group.includes('p0'));
      counts[at] = (counts[at] ?? 0) + 1;
    }
    for (const count of counts) expect(Math.abs(count - 1000)).toBeLessThan(120);
  });

  test('who stands in a group stays, and the others fill up what is small', () => {
    const standing = [['a', 'b', 'c'], ['d'], []].map((group) =>
      group.map((person): Dealt => ({ person, of: null })),
    );
    const all = ['e', 'f', 'g', 'h', 'i'].map((person): Dealt => ({ person, of: null }));
    const added = dealGroups(all, standing, randomness(1));
    expect(added.map((group) => group.length)).toEqual([0, 2, 3]);
    expect(dealGroups(all, [], randomness(1))).toEqual([]);
  });
});

test('one sees who is where, who is nowhere, and who is in two', () => {
  const groupsOf = (person: string): readonly string[] =>
    ({ a: ['boat1', 'lab1'], b: ['boat2', 'boat1'], c: ['lab1'], d: [] })[person] ?? [];
  expect(
    standingIn({ id: 'boats', groups: ['boat1', 'boat2', 'boat3'] }, ['a', 'b', 'c', 'd'], groupsOf),
  ).toEqual({
    grouping: 'boats',
    groups: [
      { group: 'boat1', people: ['a', 'b'] },
      { group: 'boat2', people: ['b'] },
      { group: 'boat3', people: [] },
    ],
    nowhere: ['c', 'd'],
    twice: ['b'],
  });
});
