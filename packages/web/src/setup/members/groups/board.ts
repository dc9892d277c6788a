/** Learners in the groups of one grouping, and those in none of them. */
import type { Group } from '@itinerary/core';
import type { EditMembers } from '@itinerary/contract';
import type { Member } from '../../../stores/members.ts';

export interface BoardColumn {
  /** Null: in none of the groups. */
  readonly group: string | null;
  readonly name: string;
  readonly people: readonly Member[];
}

type Groups = readonly (readonly [string, Group])[];

/** @param known ids of the groupings that there are: a group of one that is gone is of none */
export function groupsOf(groups: Groups, grouping: string | null, known: readonly string[]): Groups {
  return groups.filter(([, group]) => {
    if (group.kind !== 'group') return false;
    const of = group.grouping ?? null;
    return of === grouping || (grouping === null && of !== null && !known.includes(of));
  });
}

export function columnsOf(
  members: readonly Member[],
  groups: Groups,
  nowhere: string,
): readonly BoardColumn[] {
  const learners = members.filter(({ role }) => role === 'learner');
  const ids = new Set(groups.map(([id]) => id));
  return [
    {
      group: null,
      name: nowhere,
      people: learners.filter((one) => !one.groups.some((id) => ids.has(id))),
    },
    ...groups.map(([id, { name }]) => ({
      group: id,
      name,
      people: learners.filter((one) => one.groups.includes(id)),
    })),
  ];
}

/** Somebody picked up, out of the column they were picked up in; null: none of the groups. */
export interface Picked {
  readonly person: string;
  readonly from: string | null;
}

/**
 * Whoever is put down in one is out of where they were picked up; of groups, out of all others of the grouping too.
 * Whoever is there already stays.
 *
 * @param target null: out of where they were
 */
export function movesTo(
  columns: readonly BoardColumn[],
  picked: readonly Picked[],
  target: string | null,
  mayBeInSeveral: boolean,
): Extract<EditMembers, { act: 'groups' }>['groups'] {
  const people = [...new Set(picked.map(({ person }) => person))];
  const leaves = (group: string, person: string): boolean =>
    !mayBeInSeveral || picked.some((one) => one.person === person && one.from === group);
  return columns.flatMap(({ group, people: there }) => {
    if (group === null) return [];
    const inIt = new Set(there.map(({ person }) => person));
    const add = group === target ? people.filter((person) => !inIt.has(person)) : [];
    const leave =
      group === target ? [] : people.filter((person) => inIt.has(person) && leaves(group, person));
    return add.length + leave.length === 0 ? [] : [{ group, add, leave }];
  });
}

export interface Places {
  /** Of groups that there are; one that has no id yet has nobody in it. */
  readonly edits: Extract<EditMembers, { act: 'groups' }>['groups'];
  /** Who is not where they are to be yet, and of these, who goes out of another group of the division. */
  readonly coming: number;
  readonly moved: number;
}

/** @param wanted who is to be in which group of the division, and in none of the others */
export function placesAs(
  members: readonly Member[],
  groups: Groups,
  wanted: readonly { readonly id: string | null; readonly people: readonly string[] }[],
): Places {
  const groupsBy = new Map(members.map(({ person, groups: all }) => [person, new Set(all)]));
  const targets = new Map(wanted.flatMap((one) => one.people.map((person) => [person, one] as const)));
  const isIn = (person: string, id: string | null): boolean =>
    id !== null && groupsBy.get(person)?.has(id) === true;
  const ids = [...new Set([...groups.map(([id]) => id), ...wanted.flatMap(({ id }) => id ?? [])])];
  const edits = ids.flatMap((group) => {
    const add = wanted.flatMap((one) =>
      one.id === group ? one.people.filter((person) => !isIn(person, group)) : [],
    );
    const leave = [...targets].flatMap(([person, { id }]) =>
      id !== group && isIn(person, group) ? [person] : [],
    );
    return add.length + leave.length === 0 ? [] : [{ group, add, leave }];
  });
  const coming = [...targets].filter(([person, { id }]) => !isIn(person, id)).map(([person]) => person);
  const leaving = new Set(edits.flatMap(({ leave }) => leave));
  return { edits, coming: coming.length, moved: leaving.size };
}
