/** Members as the table shows them: in words, found by a few letters, narrowed by role, class and group. */
import type { Group } from '@itinerary/core';
import type { Member } from '../../stores/members.ts';
import { fold } from '../../words/fold.ts';

export interface MemberLine {
  readonly key: string;
  readonly member: Member;
  readonly name: string;
  readonly address: string;
  readonly number: string;
  readonly role: string;
  readonly classes: string;
  readonly groups: string;
  readonly joined: string;
  readonly last: string;
  /** Folded: all that somebody is found by. */
  readonly words: string;
}

/** Null: any. `none` for groups: in no group at all. */
export interface MemberFilter {
  readonly find: string;
  readonly role: string | null;
  /** The id of a class or group. */
  readonly group: string | null;
  readonly standing: 'place' | 'absent' | 'ungrouped' | null;
}
export const ANYBODY: MemberFilter = { find: '', role: null, group: null, standing: null };

type Groups = readonly (readonly [string, Group])[];

export function memberLines(
  members: readonly Member[],
  groups: Groups,
  roleWord: (role: string) => string,
): readonly MemberLine[] {
  const named = (kind: Group['kind'], ids: readonly string[]): string =>
    groups
      .filter(([id, group]) => group.kind === kind && ids.includes(id))
      .map(([, { name }]) => name)
      .join(', ');
  return members.map((member) => {
    const { person, name, address, number, userName, role, joinedAt, lastAt } = member;
    return {
      key: person,
      member,
      name,
      address: address ?? '',
      number: number ?? userName ?? '',
      role: roleWord(role),
      classes: named('class', member.groups),
      groups: named('group', member.groups),
      joined: joinedAt,
      last: lastAt ?? '',
      words: fold([name, address, number, userName].filter((word) => word !== null).join(' ')),
    };
  });
}

export function narrowed(
  lines: readonly MemberLine[],
  { find, role, group, standing }: MemberFilter,
): readonly MemberLine[] {
  const wanted = fold(find)
    .split(/\s+/)
    .filter((word) => word !== '');
  return lines.filter(({ member, words, classes, groups }) => {
    if (role !== null && member.role !== role) return false;
    if (group !== null && !member.groups.includes(group)) return false;
    if (standing === 'place' && !member.isPlace) return false;
    if (standing === 'absent' && (member.lastAt !== null || member.isPlace)) return false;
    if (standing === 'ungrouped' && (member.role !== 'learner' || classes !== '' || groups !== ''))
      return false;
    return wanted.every((word) => words.includes(word));
  });
}

/** Of the people named, whether somebody who can sign in stays as an instructor. */
export const keepsInstructor = (members: readonly Member[], going: ReadonlySet<string>): boolean =>
  members.some(({ person, role, isPlace }) => role === 'instructor' && !isPlace && !going.has(person));
