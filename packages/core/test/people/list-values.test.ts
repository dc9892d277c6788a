/** What a column of a list says of those who learn in a course, and the groups that makes. */
import { expect, test } from '@jest/globals';
import { groupsOfList, holdList, valuesOfList } from '../../src/people/index.ts';
import type { ListColumn, ListRow } from '../../src/people/index.ts';
import { member, rosterOf } from '../support/roster.ts';

const roster = rosterOf(
  member('noor', { name: 'Noor Rahimi', id: 'T-1', address: 'noor@ternpoint.example' }),
  member('pavel', { given: 'Pavel', family: 'Dvořan', id: 'T-2' }),
  member('kenji', { name: 'Kenji Morisawa', address: 'kenji@ternpoint.example' }),
  member('twin-a', { name: 'Ola Solvang' }),
  member('twin-b', { name: 'Ola Solvang' }),
  member('gone', { name: 'Gone Away', id: 'T-3', state: 'out' }),
  member('tunde', { name: 'Tunde Balewa', id: 'T-9', role: 'assistant' }),
);

function said(list: string, columns: Record<number, ListColumn> = {}): ReturnType<typeof valuesOfList> {
  const held = holdList({ list, roster, choices: { columns }, answers: new Map(), only: null, kept: [] });
  if (!held.ok) throw new Error(held.refusal.code);
  return valuesOfList(held.reconciliation, 5);
}
const lines = (rows: readonly ListRow[]): readonly number[] => rows.map(({ line }) => line);

test('by id, address or name alone; whoever is not here, teaches here or may be two is told apart', () => {
  const list = [
    'Number;Email;Name;Team',
    'T-1;;;Kelp',
    ';KENJI@ternpoint.example;;Tern',
    ';;Dvořan Pavel;Kelp',
    'T-77;;Somebody Else;Tern',
    'T-9;;Tunde Balewa;Tern',
    ';;Ola Solvang;Tern',
    'T-3;;;Tern',
  ].join('\n');
  const { values, byName, nobody, unclear, unsaid } = said(list);
  expect([...values]).toEqual([
    ['noor', 'Kelp'],
    ['kenji', 'Tern'],
  ]);
  expect([...byName]).toEqual([['pavel', 'Kelp']]);
  expect(lines(nobody)).toEqual([5, 6, 8]);
  expect(lines(unclear)).toEqual([7]);
  expect(unsaid).toBe(2);
});

test('a row that says no group puts nobody anywhere, and one who is said to be in two is unclear', () => {
  const { values, unclear, unsaid } = said('Number;Group\nT-1;\nT-2;Kelp\nT-2;Tern\n');
  expect([...values]).toEqual([]);
  expect(lines(unclear)).toEqual([3, 4]);
  expect(unsaid).toBe(5);
});

test('any column can be the one that is meant', () => {
  const { values } = said('Number;Home port\nT-1;Brest\nT-2;Bergen\n', { 0: 'id', 1: 'group' });
  expect([...values]).toEqual([
    ['noor', 'Brest'],
    ['pavel', 'Bergen'],
  ]);
});

test('groups by their names: those that there are, and those that are to be made', () => {
  const values = new Map([
    ['noor', 'Tern'],
    ['kenji', 'Kelp'],
    ['pavel', 'Tern'],
  ]);
  const groups = [
    ['g1', 'Kelp'],
    ['g2', 'Kelp'],
    ['g3', 'Elsewhere'],
  ] as const;
  expect(groupsOfList(values, groups)).toEqual([
    { name: 'Tern', id: null, people: ['noor', 'pavel'] },
    { name: 'Kelp', id: 'g1', people: ['kenji'] },
  ]);
  // A name that every object has is a name like any other.
  expect(groupsOfList(new Map([['noor', 'constructor']]), groups)[0]?.id).toBeNull();
});
