/**
 * What one column of a list says of those who are in a course: the group that each belongs to, or what is to be spread
 * evenly among groups. The column is read as `group`; nobody comes into the course by it.
 */
import { entriesIn } from '../roster/reconcile.ts';
import type { Reconciliation } from '../roster/reconcile.ts';
import type { ListRow } from '../lists/list-row.ts';
import type { RosterMember } from '../roster/roster.ts';

export interface ListValues {
  /** Of learners whom a key of the list names, by their key in the roster; in the order of the list. */
  readonly values: ReadonlyMap<string, string>;
  /** Of learners whom their name alone tells, where nobody else has it. */
  readonly byName: ReadonlyMap<string, string>;
  /** Rows that say something of nobody who learns here. */
  readonly nobody: readonly ListRow[];
  /** Rows that may mean several people, or of which two say different things of one. */
  readonly unclear: readonly ListRow[];
  /** How many learners it says nothing of. */
  readonly unsaid: number;
}

/** @param learners how many learn in the course now */
export function valuesOfList({ outcomes }: Reconciliation, learners: number): ListValues {
  const values = new Map<string, string>();
  const byName = new Map<string, string>();
  const nobody: ListRow[] = [];
  const unclear: ListRow[] = [];
  const say = (of: Map<string, string>, row: ListRow, member: RosterMember): void => {
    if (member.role !== 'learner' || member.state === 'out') nobody.push(row);
    else if (row.group !== null) of.set(member.key, row.group);
  };
  for (const one of outcomes) {
    const rows = entriesIn(one).map(({ row }) => row);
    const row = rows[0] as ListRow;
    if (one.kind === 'added') nobody.push(row);
    else if (one.kind === 'conflict') {
      if (one.reason === 'nobody') nobody.push(...rows);
      else unclear.push(...rows);
    } else if (one.kind !== 'possible') say(values, row, one.member);
    else if (one.members.length === 1) say(byName, row, one.members[0] as RosterMember);
    else unclear.push(row);
  }
  return { values, byName, nobody, unclear, unsaid: learners - values.size - byName.size };
}

export interface GroupOfList {
  /** As the list has it. */
  readonly name: string;
  /** Of a group that there is already by that name; null: it is to be made. */
  readonly id: string | null;
  /** Who is to be in it, in the order of the list. */
  readonly people: readonly string[];
}

/**
 * @param values a group's name by person
 * @param groups those that there are, by id, with their names; of one name, the first is meant
 * @returns in the order in which the list names them
 */
export function groupsOfList(
  values: ReadonlyMap<string, string>,
  groups: readonly (readonly [id: string, name: string])[],
): readonly GroupOfList[] {
  const people = new Map<string, string[]>();
  for (const [person, name] of values) {
    const there = people.get(name);
    if (there === undefined) people.set(name, [person]);
    else there.push(person);
  }
  const ids = new Map([...groups].reverse().map(([id, name]) => [name, id]));
  return [...people].map(([name, all]) => ({ name, id: ids.get(name) ?? null, people: all }));
}
