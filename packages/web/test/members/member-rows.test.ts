/** Members found by a few letters, and narrowed; a list as its rows are shown and sent. */
import { expect, test } from '@jest/globals';
import { holdList } from '@itinerary/core/people';
import type { EntryChoice } from '@itinerary/core/people';
import { ANYBODY, keepsInstructor, memberLines, narrowed } from '../../src/setup/members/member-rows.ts';
import type { MemberFilter } from '../../src/setup/members/member-rows.ts';
import {
  countsOf,
  listLines,
  MOST_IN_CELL,
  sentRows,
  tooLong,
} from '../../src/setup/members/list/list-lines.ts';
import type { Member } from '../../src/stores/members.ts';

const member = (name: string, more: Partial<Member> = {}): Member => ({
  person: name,
  name,
  address: null,
  number: null,
  userName: null,
  role: 'learner',
  joinedAt: '2027-02-01T09:00:00.000Z',
  way: 'staff',
  lastAt: null,
  isPlace: false,
  groups: [],
  ...more,
});
const GROUPS = [
  ['a', { name: 'Class A', kind: 'class', at: 1 }],
  ['boat', { name: 'Boat Avocet', kind: 'group', at: 2 }],
] as const;
const MEMBERS = [
  member('Inês Carvalhal', { role: 'instructor', lastAt: '2027-02-03T09:00:00.000Z' }),
  member('Zsófia Balint', { number: '20411', address: 'zb@away.example', groups: ['a', 'boat'] }),
  member('Tove Ness', { isPlace: true, userName: 'tness' }),
  member('Wren Aldous-Bay', { lastAt: '2027-02-03T09:00:00.000Z', groups: ['boat', 'gone'] }),
];
const lines = memberLines(MEMBERS, GROUPS, (role) => `the ${role}`);
const found = (filter: Partial<MemberFilter>): readonly string[] =>
  narrowed(lines, { ...ANYBODY, ...filter }).map(({ name }) => name);

test('in words: classes and groups by name, one that is gone not at all; the id, else the user name', () => {
  expect(lines.map(({ role, classes, groups, number }) => [role, classes, groups, number])).toEqual([
    ['the instructor', '', '', ''],
    ['the learner', 'Class A', 'Boat Avocet', '20411'],
    ['the learner', '', '', 'tness'],
    ['the learner', '', 'Boat Avocet', ''],
  ]);
});

test('found by a few letters of anything, in any order, without accents', () => {
  expect(found({})).toHaveLength(4);
  expect(found({ find: 'zsof' })).toEqual(['Zsófia Balint']);
  expect(found({ find: ' balint  zso' })).toEqual(['Zsófia Balint']);
  expect(found({ find: '204' })).toEqual(['Zsófia Balint']);
  expect(found({ find: 'TNESS' })).toEqual(['Tove Ness']);
  expect(found({ find: 'away' })).toEqual(['Zsófia Balint']);
  expect(found({ find: 'balint tove' })).toEqual([]);
});

test('narrowed by role, group, and how they stand', () => {
  expect(found({ role: 'instructor' })).toEqual(['Inês Carvalhal']);
  expect(found({ group: 'boat' })).toEqual(['Zsófia Balint', 'Wren Aldous-Bay']);
  expect(found({ standing: 'place' })).toEqual(['Tove Ness']);
  expect(found({ standing: 'absent' })).toEqual(['Zsófia Balint']);
  expect(found({ standing: 'ungrouped' })).toEqual(['Tove Ness']);
  expect(found({ group: 'boat', find: 'wren' })).toEqual(['Wren Aldous-Bay']);
});

test('a course keeps an instructor who can sign in', () => {
  const place = member('A place', { role: 'instructor', isPlace: true });
  expect(keepsInstructor(MEMBERS, new Set(['Tove Ness']))).toBe(true);
  expect(keepsInstructor(MEMBERS, new Set(['Inês Carvalhal']))).toBe(false);
  expect(keepsInstructor([...MEMBERS, place], new Set(['Inês Carvalhal']))).toBe(false);
});

const held = (list: string, answers: readonly (readonly [string, EntryChoice])[] = []) => {
  const one = holdList({
    list,
    roster: new Map(),
    choices: {},
    answers: new Map(answers),
    only: null,
    kept: [],
  });
  if (!one.ok) throw new Error(one.refusal.code);
  return one;
};

test('a list is shown in its order, whoever is left out among the others', () => {
  const list =
    'Id,Name,Class\n2,Tove Ness,North\n1,Wren Aldous-Bay,North\n2,Tove Ness,South\n3,Odhran Keane,South';
  const before = listLines(held(list));
  expect(before.map(({ line, name, classes }) => [line, name, classes])).toEqual([
    ['2, 4', 'Tove Ness', 'North, South'],
    ['3', 'Wren Aldous-Bay', 'North'],
    ['5', 'Odhran Keane', 'South'],
  ]);
  const wren = before[1]?.key ?? '';
  const after = listLines(held(list, [[wren, { is: 'nobody' }]]));
  expect(after.map(({ name, happens }) => [name, happens])).toEqual([
    ['Tove Ness', 'added'],
    ['Wren Aldous-Bay', 'left'],
    ['Odhran Keane', 'added'],
  ]);
  expect(countsOf(after)).toEqual({ added: 2, changed: 0, returning: 0, unchanged: 0, asked: 0, left: 1 });
});

test('what is not said is not sent; a cell that is too long is found before', () => {
  const { reading } = held('Id,Name,Class\n1,Tove Ness,');
  expect(sentRows(reading.rows)).toEqual([{ line: 2, id: '1', name: 'Tove Ness' }]);
  expect(tooLong(reading.rows)).toBeNull();
  const long = 'x'.repeat(MOST_IN_CELL + 1);
  expect(tooLong(held(`Id,Name\n1,Tove Ness\n2,${long}`).reading.rows)).toEqual({
    line: 3,
    value: long.slice(0, 60),
  });
});
