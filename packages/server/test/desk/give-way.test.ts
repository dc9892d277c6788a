import { expect, test } from '@jest/globals';
import { inPieces } from '../../src/lanes/give-way.ts';

test('much of the same is done in its order, and others have their turn in between', async () => {
  let turns = 0;
  let isOver = false;
  const others = (async () => {
    while (!isOver) {
      await new Promise(setImmediate);
      turns += 1;
    }
  })();
  const busy = (one: number): number => {
    const until = performance.now() + 12;
    while (performance.now() < until);
    return one * 2;
  };
  const before = turns;
  const all = Array.from({ length: 8 }, (_one, at) => at);
  expect(await inPieces(all, busy)).toEqual(all.map((one) => one * 2));
  expect(turns - before).toBeGreaterThanOrEqual(8);
  isOver = true;
  await others;
  await expect(
    inPieces([1, 2], (one) => {
      if (one === 2) throw new Error('the second');
      return one;
    }),
  ).rejects.toThrow('the second');
});
