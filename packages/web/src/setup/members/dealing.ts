/** Learners dealt into new groups at random: who is dealt, into how many, and what that comes to. */
import type { Group } from '@itinerary/core';
import { dealGroups, groupsFor } from '@itinerary/core/people';
import type { GroupCount } from '@itinerary/core/people';
import type { Member } from '../../stores/members.ts';

export interface Dealing {
  /** Everybody who learns here, or those who are in no group yet. */
  readonly whom: 'all' | 'groupless';
  readonly count: GroupCount;
  /** About as many of each kind in every group: what kind somebody is; null: nothing is said of them. */
  readonly kindOf: (member: Member) => string | null;
}

type Groups = readonly (readonly [string, Group])[];

export const classOf = (member: Member, groups: Groups): string | null => isIn(member, groups, 'class');

const isIn = (member: Member, groups: Groups, kind: Group['kind']): string | null =>
  groups.find(([id, group]) => group.kind === kind && member.groups.includes(id))?.[0] ?? null;

/** @param only those who are chosen; empty: nobody is, and everybody counts */
export function dealtMembers(
  members: readonly Member[],
  groups: Groups,
  { whom }: Pick<Dealing, 'whom'>,
  only: ReadonlySet<string>,
): readonly Member[] {
  return members.filter(
    (member) =>
      member.role === 'learner' &&
      (only.size === 0 || only.has(member.person)) &&
      (whom === 'all' || isIn(member, groups, 'group') === null),
  );
}

export interface DealtSizes {
  readonly groups: number;
  readonly least: number;
  readonly most: number;
}

/** Sizes differ by one at most. No more groups than people. */
export function sizesOf(people: number, count: GroupCount): DealtSizes | null {
  if (people === 0) return null;
  const groups = Math.min(people, groupsFor(people, count));
  return { groups, least: Math.floor(people / groups), most: Math.ceil(people / groups) };
}

/** @returns who is in each of the groups, as many as `sizesOf` says */
export function dealInto(
  people: readonly Member[],
  dealing: Pick<Dealing, 'count' | 'kindOf'>,
  random: () => number,
): readonly (readonly string[])[] {
  const sizes = sizesOf(people.length, dealing.count);
  if (sizes === null) return [];
  const dealt = people.map((member) => ({
    person: member.person,
    of: dealing.kindOf(member),
  }));
  return dealGroups(
    dealt,
    Array.from({ length: sizes.groups }, () => []),
    random,
  );
}

/** The browser's own, so that nobody could have known. At least 0, less than 1. */
export const byChance = (): number => (crypto.getRandomValues(new Uint32Array(1))[0] ?? 0) / 2 ** 32;
