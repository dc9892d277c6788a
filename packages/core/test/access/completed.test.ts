/** A course is completed by whoever has done all that counts for them, and there is something that does. */
import { expect, test } from '@jest/globals';
import { isCompleted, newItem, newSection, NOTHING_DONE } from '../../src/index.ts';
import type { Course, Viewer } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';

const NOW = '2027-01-13T09:00:00Z';
const opened = { by: 'opened' as const };
const of = (shown = true): Course => ({
  ...smallCourse(),
  state: 'live',
  sections: [
    newSection({
      id: 'S',
      items: [
        newItem('page', { id: 'a', title: 'a', done: opened }),
        newItem('page', { id: 'uncounted', title: 'uncounted' }),
        newItem('page', { id: 'hidden', title: 'hidden', done: opened, shown: false }),
        newItem('page', { id: 'classes', title: 'classes', done: opened, audience: ['k'] }),
      ],
      shown,
    }),
  ],
});
const did = (done: readonly string[], groups: readonly string[] = []): Viewer => ({
  role: 'learner',
  institutionStaff: false,
  groups,
  deeds: { ...NOTHING_DONE, done: new Set(done) },
});

test.each([
  [['a'], [], true],
  [[], [], false],
  [['uncounted', 'hidden'], [], false],
  [['a'], ['k'], false],
  [['a', 'classes'], ['k'], true],
])('done %j, in %j: %s', (done, groups, expected) => {
  expect(isCompleted(of(), did(done, groups), NOW)).toBe(expected);
});

test('where nothing counts for them there is nothing to complete', () => {
  expect(isCompleted(of(false), did(['a']), NOW)).toBe(false);
});
