/** Learners in the columns of a grouping: whoever is put into one is out of its others, and nobody else moves. */
import { expect, test } from '@jest/globals';
import type { Group } from '@itinerary/core';
import { columnsOf, groupsOf, movesTo, placesAs } from '../../src/setup/members/groups/board.ts';
import type { Picked } from '../../src/setup/members/groups/board.ts';
import type { Member } from '../../src/stores/members.ts';

const member = (person: string, groups: readonly string[], role: Member['role'] = 'learner'): Member => ({
  person,
  name: person,
  address: null,
  number: null,
  userName: null,
  role,
  joinedAt: '2027-02-16T09:42:00.000Z',
  way: 'staff',
  lastAt: null,
  isPlace: false,
  groups: [...groups],
});
const group = (grouping: string | null, kind: Group['kind'] = 'group'): Group => ({
  name: 'x',
  kind,
  at: 1,
  grouping,
});
const GROUPS = [
  ['a', group('boats')],
  ['b', group('boats')],
  ['lab', group('labs')],
  ['free', { name: 'x', kind: 'group', at: 1 }],
  ['lost', group('gone')],
  ['class', group(null, 'class')],
] as const;
const pick = (person: string, from: string | null): Picked => ({ person, from });
const known = ['boats', 'labs'];
const MEMBERS = [
  member('n', ['a', 'class']),
  member('p', ['b', 'lab']),
  member('q', ['class']),
  member('staff', [], 'instructor'),
];

test('a grouping has its groups, and none has what is of none, or of one that is gone; a class is no group', () => {
  expect(groupsOf(GROUPS, 'boats', known).map(([id]) => id)).toEqual(['a', 'b']);
  expect(groupsOf(GROUPS, null, known).map(([id]) => id)).toEqual(['free', 'lost']);
});

test('everybody who learns here is in a column, and whoever is in no group of it is nowhere', () => {
  const columns = columnsOf(MEMBERS, groupsOf(GROUPS, 'boats', known), 'nowhere');
  expect(columns.map(({ group: id, people }) => [id, people.map(({ person }) => person)])).toEqual([
    [null, ['q']],
    ['a', ['n']],
    ['b', ['p']],
  ]);
});

test('whoever is put down is out of the others of the grouping alone; put where they are, nothing is sent', () => {
  const columns = columnsOf(MEMBERS, groupsOf(GROUPS, 'boats', known), 'nowhere');
  expect(movesTo(columns, [pick('p', 'b'), pick('q', null)], 'a', false)).toEqual([
    { group: 'a', add: ['p', 'q'], leave: [] },
    { group: 'b', add: [], leave: ['p'] },
  ]);
  expect(movesTo(columns, [pick('n', 'a'), pick('q', null)], null, false)).toEqual([
    { group: 'a', add: [], leave: ['n'] },
  ]);
  expect(movesTo(columns, [pick('n', 'a')], 'a', false)).toEqual([]);
});

test('of classes somebody may be in several: they are out of the one where they were picked up, and of no other', () => {
  const classes = [
    ['x', group(null, 'class')],
    ['y', group(null, 'class')],
    ['z', group(null, 'class')],
  ] as const;
  const columns = columnsOf([member('n', ['x', 'y'])], classes, 'nowhere');
  expect(movesTo(columns, [pick('n', 'x')], 'z', true)).toEqual([
    { group: 'x', add: [], leave: ['n'] },
    { group: 'z', add: ['n'], leave: [] },
  ]);
  expect(movesTo(columns, [pick('n', 'x'), pick('n', 'y')], null, true)).toEqual([
    { group: 'x', add: [], leave: ['n'] },
    { group: 'y', add: [], leave: ['n'] },
  ]);
});

test('as a list has it: into the one group of the division, out of its others, and nobody else moves', () => {
  const boats = groupsOf(GROUPS, 'boats', known);
  const wanted = [
    { id: 'a', people: ['n', 'p'] },
    { id: null, people: ['q'] },
  ];
  expect(placesAs(MEMBERS, boats, wanted)).toEqual({
    edits: [
      { group: 'a', add: ['p'], leave: [] },
      { group: 'b', add: [], leave: ['p'] },
    ],
    coming: 2,
    moved: 1,
  });
  // Once it is made, its people are put into it too; done again, nothing is left to do.
  const made = placesAs(MEMBERS, boats, [{ id: 'new', people: ['q'] }]);
  expect(made.edits).toEqual([{ group: 'new', add: ['q'], leave: [] }]);
  const there = [member('n', ['a', 'lab']), member('p', ['a'])];
  expect(placesAs(there, boats, [{ id: 'a', people: ['n', 'p'] }])).toEqual({
    edits: [],
    coming: 0,
    moved: 0,
  });
});
