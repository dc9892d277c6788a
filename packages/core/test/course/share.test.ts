/** Values that say the same are the same: by identity, as far down as they are. */
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { share } from '../../src/index.ts';
import { runs } from '../support/runs.ts';

const clone = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

test('what says the same is the same object, and what differs is made of the parts that do not', () => {
  const before = { a: { b: [1, 2] }, c: { d: 'x' }, e: null };
  expect(share(before, clone(before))).toBe(before);
  const next = share(before, { a: { b: [1, 2] }, c: { d: 'y' }, e: null });
  expect(next).toEqual({ a: { b: [1, 2] }, c: { d: 'y' }, e: null });
  expect(next.a).toBe(before.a);
  expect(next.c).not.toBe(before.c);
});

test('one more or one fewer is another, wherever it stands', () => {
  const before: { a: number; b?: number } = { a: 1, b: 2 };
  expect(share(before, { a: 1 })).toEqual({ a: 1 });
  expect(share<object>({ a: 1 }, { a: 1, b: 2 })).toEqual({ a: 1, b: 2 });
  expect(share<object>({ a: 1, b: undefined }, { a: 1, c: undefined })).toEqual({ a: 1, c: undefined });
  expect(Object.keys(share<object>({ a: 1, b: undefined }, { a: 1, c: undefined }))).toEqual(['a', 'c']);
  expect(share([1, 2], [1])).toEqual([1]);
  expect(share([1], [1, 2])).toEqual([1, 2]);
  expect(share<unknown>({}, [])).toEqual([]);
  expect(share<unknown>([], {})).toEqual({});
});

test('things with an id are the same wherever they stand; others by their place', () => {
  const before = [
    { id: 'a', n: [1] },
    { id: 'b', n: [2] },
  ];
  const turned = share(before, clone([before[1]!, before[0]!]));
  expect(turned).not.toBe(before);
  expect(turned[0]).toBe(before[1]);
  expect(turned[1]).toBe(before[0]);
  const bare = [{ n: 1 }, { n: 2 }];
  const swapped = share(bare, [{ n: 2 }, { n: 1 }]);
  expect(swapped).toEqual([{ n: 2 }, { n: 1 }]);
  expect(swapped[0]).not.toBe(bare[1]);
});

test('what is no plain value is taken as it comes', () => {
  const [one, other] = [new Date(0), new Date(0)];
  expect(share({ at: one }, { at: other }).at).toBe(other);
  expect(share<unknown>(null, { a: 1 })).toEqual({ a: 1 });
  expect(share<unknown>({ a: 1 }, null)).toBeNull();
  const bare = Object.assign(Object.create(null) as object, { a: 1 });
  expect(share<unknown>(bare, { a: 1 })).toBe(bare);
});

test('of any two values it says what the second says', () => {
  /** As they come back from JSON, which has no -0. */
  const value = fc.jsonValue().map(clone);
  fc.assert(
    fc.property(value, value, (before, next) => {
      expect(share<unknown>(before, next)).toEqual(next);
      expect(share<unknown>(before, clone(before))).toBe(before);
    }),
    { numRuns: runs(800) },
  );
});
