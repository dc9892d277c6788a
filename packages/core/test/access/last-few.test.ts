import { expect, test } from '@jest/globals';
import { knownOr } from '../../src/access/last-few.ts';

test('what is known is not made again, and the one made longest ago makes room', () => {
  const known = new Map<string, object>();
  let made = 0;
  const ask = (key: string): object => knownOr(known, key, () => ({ of: key, at: (made += 1) }));
  const first = ask('0');
  expect(ask('0')).toBe(first);
  expect(made).toBe(1);
  for (let at = 1; at < 100; at += 1) ask(String(at));
  expect(ask('0')).toBe(first);
  ask('100');
  expect(known.size).toBe(100);
  expect(ask('1')).toEqual({ of: '1', at: 2 });
  expect(ask('0')).not.toBe(first);
});
