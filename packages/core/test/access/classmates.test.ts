/** Whose names somebody is told. */
import { describe, expect, test } from '@jest/globals';
import { classmatesOf } from '../../src/index.ts';
import type { Classmate, Course, Viewer } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';

const NOW = '2027-01-13T09:00:00Z';
const ALL: readonly Classmate[] = [
  { name: 'Noor', role: 'learner', groups: ['class-b', 'boat'] },
  { name: 'Ada', role: 'assistant', groups: [] },
  { name: 'Émile', role: 'learner', groups: ['class-a', 'boat'] },
  { name: 'Inês', role: 'instructor', groups: [] },
  { name: 'Zoe', role: 'visitor', groups: [] },
  { name: 'Frida', role: 'learner', groups: ['class-a', 'gone'] },
];
const course = (names: Course['names'], state: Course['state'] = 'live'): Course => ({
  ...smallCourse(),
  state,
  names,
  groups: {
    'class-a': { name: 'Class A', kind: 'class', at: 1 },
    'class-b': { name: 'Class B', kind: 'class', at: 2 },
    boat: { name: 'Avocet', kind: 'group', at: 3 },
  },
});
const as = (role: Viewer['role'], groups: readonly string[] = []): Viewer => ({
  role,
  institutionStaff: false,
  groups,
});
const names = (of: Course, viewer: Viewer): readonly string[] | null =>
  classmatesOf(of, viewer, NOW, ALL)?.map(({ name }) => name) ?? null;

describe('a learner is told', () => {
  test('everybody, staff first and then by name, where the course says so', () => {
    expect(names(course('everybody'), as('learner'))).toEqual([
      'Inês',
      'Ada',
      'Émile',
      'Frida',
      'Noor',
      'Zoe',
    ]);
  });

  test('those of the same class, and no one whose boat they share', () => {
    expect(names(course('class'), as('learner', ['class-b', 'boat']))).toEqual(['Inês', 'Ada', 'Noor']);
    expect(names(course('class'), as('learner', ['class-a']))).toEqual(['Inês', 'Ada', 'Émile', 'Frida']);
    expect(names(course('class'), as('learner', ['boat']))).toEqual(['Inês', 'Ada']);
  });

  test('staff alone', () => {
    expect(names(course('staff'), as('learner', ['class-a', 'class-b']))).toEqual(['Inês', 'Ada']);
  });

  test('groups by their names, and none that the course no longer has', () => {
    const found = classmatesOf(course('everybody'), as('learner'), NOW, ALL) ?? [];
    expect(found.find(({ name }) => name === 'Émile')?.groups).toEqual(['Class A', 'Avocet']);
    expect(found.find(({ name }) => name === 'Frida')?.groups).toEqual(['Class A']);
  });
});

test('staff are told everybody, whatever learners are told', () => {
  for (const viewer of [as('instructor'), as('assistant'), { role: null, institutionStaff: true }])
    expect(names(course('staff'), viewer)).toHaveLength(ALL.length);
});

test('whoever takes no part, or cannot read the course, is told nobody', () => {
  expect(names(course('everybody'), as('visitor'))).toBeNull();
  expect(names(course('everybody'), { ...as(null), here: true })).toBeNull();
  expect(names(course('everybody', 'draft'), as('learner'))).toBeNull();
  expect(names(course('everybody', 'draft'), as('instructor'))).not.toBeNull();
});
