/** Which element draws which line of the grid while it is scrolled. */
import { describe, expect, test } from '@jest/globals';
import { inARow, numbers, slotted } from '../../src/marking/progress/slots.ts';

describe('an element', () => {
  test('stays with its line, and takes another one when that has left', () => {
    const first = slotted(undefined, [0, 1, 2]);
    expect([...first]).toEqual([
      [0, 0],
      [1, 1],
      [2, 2],
    ]);
    const next = slotted(first, [1, 2, 3]);
    expect([next.get(1), next.get(2), next.get(3)]).toEqual([1, 2, 0]);
    expect([...slotted(next, [1, 2, 3, 4]).values()].sort()).toEqual([0, 1, 2, 3]);
  });

  test('draws one line, however it is scrolled', () => {
    let slots = slotted(undefined, numbers(0, 20, 3));
    for (const from of [4, 8, 40, 36, 0, 480, 4]) {
      slots = slotted(slots, numbers(from, from + 20, 3));
      expect(new Set(slots.values()).size).toBe(slots.size);
      // The line that has the focus keeps its own.
      expect(slots.get(3)).toBe(3);
    }
    expect(Math.max(...slots.values())).toBeLessThanOrEqual(21);
  });
});

test('what is kept stands where it belongs, once', () => {
  expect(numbers(4, 7, 2)).toEqual([2, 4, 5, 6]);
  expect(numbers(4, 7, 5)).toEqual([4, 5, 6]);
  expect(numbers(4, 7, 7)).toEqual([4, 5, 6, 7]);
  expect(numbers(0, 0, -1)).toEqual([]);
});

test('a column stands as far from the one before it as there are others between them', () => {
  const drawn = inARow(slotted(undefined, numbers(4, 6, 1)));
  expect(drawn.map(({ column, gap }) => [column, gap])).toEqual([
    [1, 1],
    [4, 2],
    [5, 0],
  ]);
});
