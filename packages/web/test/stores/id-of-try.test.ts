/** What is sent again is the same, and what is another is another. */
import { expect, test } from '@jest/globals';
import { idsOfTries } from '../../src/stores/id-of-try.ts';

test('a try has its id for as long as it is the same, and until it has come', () => {
  const { idOf, done } = idsOfTries();
  const first = idOf({ text: 'One' });
  expect(first).toMatch(/^[0-9a-f-]{36}$/);
  expect(idOf({ text: 'One' })).toBe(first);
  const second = idOf({ text: 'Two' });
  expect(second).not.toBe(first);
  expect(idOf({ text: 'Two' })).toBe(second);
  done();
  expect([first, second]).not.toContain(idOf({ text: 'Two' }));
});
