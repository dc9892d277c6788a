/** A OneRoster bundle as a list, and cells that come back as they went. */
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { bundleList, readList } from '../../src/people/index.ts';
import { gridOf } from '../../src/people/lists/cells.ts';
import { tableText } from '../../src/people/lists/table-text.ts';

const USERS = `sourcedId,status,enabledUser,givenName,familyName,identifier,username,email
u1,active,true,Maëlle,Tréguier,20413,mtreguier,maelle@away.example
u2,active,true,Odhran,"Keane, Jr",,okeane,
u3,tobedeleted,true,Wren,Aldous-Bay,20499,waldous,wren@away.example
u4,active,true,Tove,Ness,20420,tness,tove@away.example`;
const CLASSES = `sourcedId,status,title,classCode
k1,active,Shore A,EFM-A
k2,active,,EFM-B`;
const ENROLMENTS = `sourcedId,status,classSourcedId,schoolSourcedId,userSourcedId,role,primary
e1,active,k1,s,u1,student,
e2,active,k2,s,u2,student,
e3,tobedeleted,k2,s,u1,student,
e4,active,k1,s,u3,student,
e5,active,k1,s,u4,teacher,true
e6,active,k9,s,u1,aide,`;

const read = (files: Parameters<typeof bundleList>[0]) => readList(bundleList(files) ?? '').rows;

test('who is enrolled in which class, as what; what is to be deleted is not there', () => {
  const rows = read({ 'users.csv': USERS, 'classes.csv': CLASSES, 'enrollments.csv': ENROLMENTS });
  expect(
    rows.map(({ id, given, family, class: inClass, role }) => [id, given, family, inClass, role]),
  ).toEqual([
    ['20413', 'Maëlle', 'Tréguier', 'Shore A', 'learner'],
    ['u2', 'Odhran', 'Keane, Jr', 'EFM-B', 'learner'],
    ['20420', 'Tove', 'Ness', 'Shore A', 'instructor'],
    ['20413', 'Maëlle', 'Tréguier', 'k9', 'assistant'],
  ]);
  expect(rows[0]).toMatchObject({ address: 'maelle@away.example', userName: 'mtreguier' });
});

test('without enrolments everybody in it is on the list; without users it is no bundle', () => {
  expect(read({ 'users.csv': USERS }).map(({ given }) => given)).toEqual(['Maëlle', 'Odhran', 'Tove']);
  expect(bundleList({ 'classes.csv': CLASSES })).toBeNull();
});

test('cells come back as they went, whatever they hold', () => {
  const cell = fc
    .string({
      minLength: 1,
      maxLength: 12,
      unit: fc.constantFrom('a', 'é', '"', '\t', '\n', ',', ';', "'", '='),
    })
    .map((text) => `x${text}x`);
  fc.assert(
    fc.property(fc.array(fc.tuple(cell, cell, cell), { minLength: 2, maxLength: 6 }), (rows) => {
      const again = gridOf(tableText(rows)).rows.map(({ cells }) => cells.join('|').replaceAll(/\s+/g, ' '));
      expect(again).toEqual(rows.map((row) => row.join('|').replaceAll(/\s+/g, ' ')));
    }),
    { numRuns: 400 },
  );
});
