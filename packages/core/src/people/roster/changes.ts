/** What a row of a list changes about the member whom it means. An empty cell changes nothing. */
import { nameKey } from '../lists/words.ts';
import type { Entry } from './entries.ts';
import { addressKey, calledOf } from './roster.ts';
import type { RosterMember } from './roster.ts';

export type MemberField = 'id' | 'given' | 'family' | 'name' | 'address' | 'userName' | 'role';
export type MemberChange =
  | { readonly field: MemberField; readonly from: string | null; readonly to: string }
  | {
      readonly field: 'classes' | 'groups';
      readonly from: readonly string[];
      readonly to: readonly string[];
    };

const isSameSet = (one: readonly string[], other: readonly string[]): boolean =>
  one.length === other.length && one.every((word) => other.includes(word));

/** Half of a name is no other name where it is one of its words. */
function isHalfOf(half: string | null, name: string): boolean {
  const words = nameKey(name).split(' ');
  return nameKey(half ?? '')
    .split(' ')
    .every((word) => words.includes(word));
}

/** Whether the list says something else than what is there already. */
function isNew(field: MemberField, to: string | null, member: RosterMember): to is string {
  if (to === null) return false;
  // Said in one, it is the same name as in two: in any order.
  if (field === 'name') return nameKey(to) !== nameKey(calledOf(member));
  if (field === 'address' && member.address !== null) return addressKey(to) !== addressKey(member.address);
  return to !== member[field];
}

const FIELDS = ['id', 'given', 'family', 'name', 'address', 'userName', 'role'] as const;
const NONE: readonly MemberChange[] = [];

/** As nearly everything is: said as it is there already, sign by sign. */
const isAsItWas = ({ row, classes }: Entry, member: RosterMember): boolean =>
  (row.id === null || row.id === member.id) &&
  (row.given === null || row.given === member.given) &&
  (row.family === null || row.family === member.family) &&
  (row.name === null || row.name === member.name) &&
  (row.address === null || row.address === member.address) &&
  (row.userName === null || row.userName === member.userName) &&
  (row.role === null || row.role === member.role) &&
  row.group === null &&
  (classes.length === 0 ||
    (classes.length === 1 && member.classes.length === 1 && classes[0] === member.classes[0]));

/** @returns in the order in which a member's fields are shown; nothing: the list says what is there already */
export function changesOf(entry: Entry, member: RosterMember): readonly MemberChange[] {
  if (isAsItWas(entry, member)) return NONE;
  const { row, classes } = entry;
  const changes: MemberChange[] = [];
  const isHalf = member.name !== null && (row.given === null) !== (row.family === null);
  if (isHalf) {
    const half = row.given ?? row.family ?? '';
    if (!isHalfOf(half, member.name)) changes.push({ field: 'name', from: member.name, to: half });
  }
  for (const field of FIELDS) {
    const to = row[field];
    // Nearly everything is as it was.
    if (to === null || to === member[field]) continue;
    if (isHalf && (field === 'given' || field === 'family')) continue;
    if (isNew(field, to, member)) changes.push({ field, from: member[field], to });
  }
  const isSaid = classes.length > 1 || (classes.length === 1 && classes[0] !== member.classes[0]);
  if ((isSaid || member.classes.length > 1) && classes.length > 0 && !isSameSet(classes, member.classes)) {
    changes.push({ field: 'classes', from: member.classes, to: classes });
  }
  if (row.group !== null && !member.groups.includes(row.group)) {
    changes.push({ field: 'groups', from: member.groups, to: [...member.groups, row.group] });
  }
  return changes;
}

/** A name in one takes the place of one in two, and the other way round, or the old one would go on being shown. */
export function changed(member: RosterMember, changes: readonly MemberChange[]): RosterMember {
  const next: Record<string, unknown> = { ...member };
  for (const { field, to } of changes) next[field] = to;
  const says = (...fields: readonly string[]): boolean => changes.some(({ field }) => fields.includes(field));
  if (says('name')) Object.assign(next, { given: null, family: null });
  else if (says('given', 'family')) next['name'] = null;
  return next as unknown as RosterMember;
}
