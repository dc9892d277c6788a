/** Who works with whom in an item, and who looks at whose work. */
import { describe, expect, test } from '@jest/globals';
import { groupWorkOf, mayWith, newItem, newSection } from '../../src/index.ts';
import type { GroupWork } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';

const groups = {
  avocet: { name: 'Boat Avocet', kind: 'group' as const, at: 0 },
  curlew: { name: 'Boat Curlew', kind: 'group' as const, at: 1 },
  a: { name: 'Class A', kind: 'class' as const, at: 2 },
};

test('an item has its own mode, else the course’s; headings, folders and sections have none', () => {
  const course = { ...smallCourse(), groupWork: 'apart' as const };
  expect(groupWorkOf(course, newItem('discussion', { id: 'd', title: 'd' }))).toBe('apart');
  expect(groupWorkOf(course, newItem('discussion', { id: 'd', title: 'd', groupWork: 'beside' }))).toBe(
    'beside',
  );
  expect(groupWorkOf(course, newItem('heading', { id: 'h', title: 'h' }))).toBe('none');
  expect(groupWorkOf(course, newSection({ id: 's' }))).toBe('none');
});

describe('the work of others', () => {
  const rows: readonly (readonly [GroupWork, readonly string[], readonly string[], string])[] = [
    ['none', ['avocet'], ['curlew'], 'look'],
    ['none', [], [], 'look'],
    ['apart', ['avocet'], ['avocet'], 'work'],
    ['apart', ['avocet'], ['curlew'], 'nothing'],
    ['apart', [], ['curlew'], 'nothing'],
    ['apart', ['a'], ['a'], 'nothing'],
    ['apart', ['avocet', 'curlew'], ['curlew'], 'work'],
    ['beside', ['avocet'], ['avocet', 'a'], 'work'],
    ['beside', ['avocet'], ['curlew'], 'look'],
    ['beside', [], ['curlew'], 'look'],
    ['apart', ['gone'], ['gone'], 'nothing'],
  ];
  test.each(rows)('%s, in %j, of those in %j: %s', (mode, mine, theirs, expected) => {
    expect(mayWith({ groups }, mode, mine, theirs)).toBe(expected);
  });
});
