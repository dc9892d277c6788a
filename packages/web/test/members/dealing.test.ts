/** Learners dealt into groups: who, into how many, how large, and how evenly. */
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { byChance, classOf, dealInto, dealtMembers, sizesOf } from '../../src/setup/members/dealing.ts';
import type { Member } from '../../src/stores/members.ts';

const GROUPS = [
  ['north', { name: 'North', kind: 'class', at: 1 }],
  ['south', { name: 'South', kind: 'class', at: 2 }],
  ['boat', { name: 'Boat', kind: 'group', at: 3 }],
] as const;
const member = (person: string, groups: readonly string[] = [], role: Member['role'] = 'learner'): Member =>
  ({ person, name: person, role, groups: [...groups] }) as unknown as Member;
const MEMBERS = [
  member('ines', [], 'instructor'),
  member('a', ['north']),
  member('b', ['north', 'boat']),
  member('c', ['south', 'gone']),
];
const names = (members: readonly Member[]): readonly string[] => members.map(({ person }) => person);

test('those who learn here, in no group yet if wanted; of those who are chosen, those', () => {
  expect(names(dealtMembers(MEMBERS, GROUPS, { whom: 'all' }, new Set()))).toEqual(['a', 'b', 'c']);
  expect(names(dealtMembers(MEMBERS, GROUPS, { whom: 'groupless' }, new Set()))).toEqual(['a', 'c']);
  expect(names(dealtMembers(MEMBERS, GROUPS, { whom: 'all' }, new Set(['ines', 'b'])))).toEqual(['b']);
});

test('what it comes to', () => {
  expect(sizesOf(0, { by: 'size', most: 4 })).toBeNull();
  expect(sizesOf(24, { by: 'size', most: 4 })).toEqual({ groups: 6, least: 4, most: 4 });
  expect(sizesOf(25, { by: 'size', most: 4 })).toEqual({ groups: 7, least: 3, most: 4 });
  expect(sizesOf(25, { by: 'number', groups: 4 })).toEqual({ groups: 4, least: 6, most: 7 });
  expect(sizesOf(3, { by: 'number', groups: 9 })).toEqual({ groups: 3, least: 1, most: 1 });
});

test('everybody once, in groups as large as was said; balanced, each class differs by one at most', () => {
  const size = fc.integer({ min: 1, max: 9 });
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 60 }), size, fc.boolean(), (people, most, isBalanced) => {
      const all = Array.from({ length: people }, (_, at) =>
        member(`p${at}`, [at % 3 === 0 ? 'north' : 'south']),
      );
      const count = { by: 'size' as const, most };
      const kindOf = (one: Member): string | null => (isBalanced ? classOf(one, GROUPS) : null);
      const dealt = dealInto(all, { count, kindOf }, byChance);
      const sizes = sizesOf(people, count);
      expect(dealt.flat().sort()).toEqual(names(all).toSorted());
      expect(dealt).toHaveLength(sizes?.groups ?? 0);
      for (const group of dealt) {
        expect(group.length).toBeGreaterThanOrEqual(sizes?.least ?? 0);
        expect(group.length).toBeLessThanOrEqual(sizes?.most ?? 0);
      }
      if (!isBalanced) return;
      const north = dealt.map((group) => group.filter((one) => Number(one.slice(1)) % 3 === 0).length);
      expect(Math.max(...north) - Math.min(...north)).toBeLessThanOrEqual(1);
    }),
    { numRuns: 200 },
  );
});
