/**
 * People of a course as a list again: the columns that somebody wants, in their order, and some that are put together,
 * such as "{given} {family} ({userName})". Read again, it says the same.
 */
import { csvOf } from '../../course/csv.ts';
import type { RosterMember } from '../roster/roster.ts';
import { LIST_COLUMNS } from './list-row.ts';
import type { ListColumn } from './list-row.ts';

/** What a list says of somebody, each by itself. */
export type WrittenField = Exclude<ListColumn, 'familyGiven' | 'ignored'>;
export const WRITTEN_FIELDS: readonly WrittenField[] = LIST_COLUMNS.filter(
  (column): column is WrittenField => column !== 'familyGiven' && column !== 'ignored',
);

export interface WrittenColumn {
  readonly heading: string;
  /** Fields in braces, and what stands around them. */
  readonly pattern: string;
}

type Written = Readonly<Record<WrittenField, string>>;

const SEVERAL = '; ';

function fieldsOf(member: RosterMember): Written {
  const { id, given, family, name, address, userName, classes, groups, role } = member;
  return {
    id: id ?? '',
    given: given ?? '',
    family: family ?? '',
    name: name ?? [given, family].filter((word) => word !== null).join(' '),
    address: address ?? '',
    userName: userName ?? '',
    class: classes.join(SEVERAL),
    role,
    group: groups.join(SEVERAL),
  };
}

const FIELD = /\{(\w+)\}/g;
const isField = (name: string): name is WrittenField => WRITTEN_FIELDS.some((one) => one === name);

/** @returns the fields that a pattern names and nobody knows: with one of them it says what it was not meant to */
export function unknownIn(pattern: string): readonly string[] {
  return [...pattern.matchAll(FIELD)].flatMap(([, name = '']) => (isField(name) ? [] : [name]));
}

/** Where a field is empty, brackets around it go, and so do the spaces that were between it and the next. */
export function composed(pattern: string, member: RosterMember): string {
  const fields = fieldsOf(member);
  return pattern
    .replaceAll(FIELD, (_, name: string) => (isField(name) ? fields[name] : ''))
    .replaceAll(/\(\s*\)|\[\s*\]|<\s*>/g, '')
    .replaceAll(/ {2,}/g, ' ')
    .replaceAll(/^[\s,]+|[\s,]+$/g, '');
}

export function writeList(columns: readonly WrittenColumn[], members: readonly RosterMember[]): string {
  return csvOf([
    columns.map(({ heading }) => heading),
    ...members.map((member) => columns.map(({ pattern }) => composed(pattern, member))),
  ]);
}
