/** What the registry and a course say of somebody, field by field, in words as they are shown. */
import type { RegistryStep } from '@itinerary/contract';
import type { Course } from '@itinerary/core';
import { calledOf, changed, nameOf } from '@itinerary/core/people';
import type { FollowedField, MemberChange, RegistryPerson, RosterMember } from '@itinerary/core/people';

type Said = RegistryStep['fields'][number];

const words = (value: string | readonly string[] | null): string =>
  value === null ? '' : typeof value === 'string' ? value : value.join(', ');

/** Both halves of a name are one; where they were only told apart, nothing is said of it. */
export function fieldsOf(changes: readonly MemberChange[], before: RosterMember): Said[] {
  const [from, to] = [calledOf(before), calledOf(changed(before, changes))];
  return [
    ...(from === to ? [] : [{ field: 'name' as const, from, to }]),
    ...changes.flatMap((one): Said[] =>
      ['groups', 'given', 'family', 'name'].includes(one.field)
        ? []
        : [{ field: one.field as FollowedField, from: words(one.from), to: words(one.to) }],
    ),
  ];
}

/** `standing` says `in` or `out`. */
export function bothSay(
  field: FollowedField,
  person: RegistryPerson,
  isThere: boolean,
  member: RosterMember,
  groups: Course['groups'],
): { readonly ours: string; readonly theirs: string } {
  switch (field) {
    case 'standing':
      return { ours: member.state, theirs: isThere ? 'in' : 'out' };
    case 'name':
      return { ours: calledOf(member), theirs: nameOf(person) };
    case 'classes':
      return {
        ours: words(member.classes),
        theirs: words(person.classes.flatMap((id) => groups[id]?.name ?? [])),
      };
    default:
      return { ours: words(member[field]), theirs: words(person[field]) };
  }
}

export function keptFields(
  fields: readonly FollowedField[],
  person: RegistryPerson,
  member: RosterMember,
  groups: Course['groups'],
): Said[] {
  return fields.map((field) => {
    const { ours, theirs } = bothSay(field, person, true, member, groups);
    return { field, from: ours, to: theirs };
  });
}
