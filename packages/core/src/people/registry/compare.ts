/** What the registry says anew of a member, against what it said before and what stands in the course now. */
import { nameKey } from '../lists/words.ts';
import type { MemberChange } from '../roster/changes.ts';
import { addressKey, calledOf } from '../roster/roster.ts';
import type { RosterMember } from '../roster/roster.ts';
import type { FollowedField, RegistryPerson } from './registry.ts';

/** The course's classes: their names by id. */
export type ClassNames = ReadonlyMap<string, string>;

type Field = Exclude<FollowedField, 'standing' | 'classes'>;
const FIELDS: readonly Field[] = ['id', 'name', 'address', 'userName', 'role'];

export const nameOf = ({ given, family }: Pick<RegistryPerson, 'given' | 'family'>): string =>
  calledOf({ given, family, name: null });

/** Alike where the keys are; null: nothing is said. */
function keyOf(field: Field, said: string | null): string | null {
  if (said === null || said === '') return null;
  if (field === 'name') return nameKey(said);
  return field === 'address' ? addressKey(said) : said;
}

const saidOf = (field: Field, person: RegistryPerson): string | null =>
  field === 'name' ? nameOf(person) : person[field];
const oursOf = (field: Field, member: RosterMember): string | null =>
  field === 'name' ? calledOf(member) : member[field];

function changesFor(field: Field, person: RegistryPerson, member: RosterMember): readonly MemberChange[] {
  if (field !== 'name') {
    return [{ field, from: member[field], to: person[field] ?? '' } as MemberChange];
  }
  return (['given', 'family'] as const).flatMap((half) => {
    const to = person[half];
    return to === null || to === member[half] ? [] : [{ field: half, from: member[half], to }];
  });
}

const namesOf = (ids: readonly string[], names: ClassNames): readonly string[] =>
  ids.flatMap((id) => names.get(id) ?? []);

/** Staff's own classes stay; whoever staff have taken out of one that the registry had put them into is left alone. */
function classesNow(
  before: readonly string[],
  now: readonly string[],
  ours: readonly string[],
): { readonly classes: readonly string[]; readonly isKept: boolean } {
  const isMoved = before.length !== now.length || before.some((one) => !now.includes(one));
  if (!isMoved) return { classes: ours, isKept: false };
  if (before.some((one) => !ours.includes(one))) {
    return { classes: ours, isKept: !now.every((one) => ours.includes(one)) };
  }
  const stay = ours.filter((one) => !before.includes(one) || now.includes(one));
  return { classes: [...new Set([...stay, ...now])], isKept: false };
}

export interface Compared {
  readonly changes: readonly MemberChange[];
  /** Where what staff have decided stands against what the registry says now. */
  readonly kept: readonly FollowedField[];
}

/** @param before null: the registry has not been heard of them, so that what stands there is what staff wrote */
export function compare(
  before: { readonly said: RegistryPerson; readonly kept: readonly FollowedField[] } | null,
  person: RegistryPerson,
  member: RosterMember,
  names: ClassNames,
): Compared {
  const changes: MemberChange[] = [];
  const kept: FollowedField[] = [];
  for (const field of FIELDS) {
    const [said, ours] = [keyOf(field, saidOf(field, person)), keyOf(field, oursOf(field, member))];
    const was = before === null ? null : keyOf(field, saidOf(field, before.said));
    if (said === null || said === ours) {
      // The same name, and now it is known which half is which.
      if (said !== null && field === 'name' && member.name !== null && before === null) {
        changes.push(...changesFor(field, person, member));
      }
      continue;
    }
    if (ours === null || (ours === was && said !== was)) changes.push(...changesFor(field, person, member));
    else if (said !== was || before?.kept.includes(field) === true) kept.push(field);
  }
  const [was, now] = [namesOf(before?.said.classes ?? [], names), namesOf(person.classes, names)];
  const { classes, isKept } = classesNow(was, now, member.classes);
  const stillKept = before?.kept.includes('classes') === true && !now.every((one) => classes.includes(one));
  if (isKept || stillKept) kept.push('classes');
  else if (classes.length !== member.classes.length || classes.some((one) => !member.classes.includes(one))) {
    changes.push({ field: 'classes', from: member.classes, to: classes });
  }
  return { changes, kept };
}

/** What is changed where somebody says that the registry is right after all. */
export function changesToTake(
  field: Exclude<FollowedField, 'standing'>,
  person: RegistryPerson,
  member: RosterMember,
  names: ClassNames,
): readonly MemberChange[] {
  if (field !== 'classes') return changesFor(field, person, member);
  const to = [...new Set([...member.classes, ...namesOf(person.classes, names)])];
  return to.length === member.classes.length ? [] : [{ field, from: member.classes, to }];
}
