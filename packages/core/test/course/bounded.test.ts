import { expect, test } from '@jest/globals';
import { Bounded, BoundedBy } from '../../src/course/bounded.ts';

test('what is known is not made again, and the one made longest ago makes room', () => {
  const known = new Bounded<object>(100);
  let made = 0;
  const ask = (key: string): object => known.orElse(key, () => ({ of: key, at: (made += 1) }));
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

test('what is put there again goes last', () => {
  const known = new Bounded<number>(2);
  known.set('a', 1);
  known.set('b', 2);
  known.set('a', 1);
  known.set('c', 3);
  expect([known.get('a'), known.get('b'), known.get('c')]).toEqual([1, undefined, 3]);
});

test('each holder has a shelf of its own', () => {
  const shelves = new BoundedBy<object, number>(1);
  const [one, other] = [{}, {}];
  shelves.of(one).set('a', 1);
  expect(shelves.of(other).get('a')).toBeUndefined();
  expect(shelves.of(one).get('a')).toBe(1);
});

test('what is weighed goes by weight, and what is put there anew weighs once', () => {
  const known = new Bounded<string>(10, (text) => text.length);
  known.set('a', 'four');
  known.set('b', 'five!');
  known.set('a', 'one');
  expect([known.get('a'), known.get('b')]).toEqual(['one', 'five!']);
  known.set('c', 'six six');
  expect([known.get('a'), known.get('b'), known.get('c')]).toEqual(['one', undefined, 'six six']);
  // The last one stays, however much it weighs.
  known.set('d', 'more than there is room for');
  expect([known.size, known.get('d')]).toEqual([1, 'more than there is room for']);
});
