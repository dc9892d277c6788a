/** What has been watched of a film: against a second-by-second count, and clause by clause (docs/semantics.md, Work). */
import { describe, expect, test } from '@jest/globals';
import { isTooFast, runsWithin, shareWatched, united } from '../../../src/index.ts';
import type { Run } from '../../../src/index.ts';

/** The same numbers each time. */
function numbers(seed: number): (below: number) => number {
  let state = seed;
  return (below) => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return Math.floor((state / 2_147_483_648) * below);
  };
}

test('the union of 3,000 random histories is that of somebody who ticks off every tenth of a second', () => {
  const next = numbers(11);
  for (let at = 0; at < 3000; at += 1) {
    const seconds = 5 + next(20);
    const runs = Array.from({ length: next(12) }, (): Run => {
      const from = next(seconds * 10) * 100;
      return [from, from + next(80) * 100];
    });
    const ticked = new Set<number>();
    // What lacks less than a second to the end is the end.
    for (const [from, to] of runs) {
      const end = to > seconds * 1000 - 1000 ? seconds * 1000 : to;
      for (let tenth = from; tenth < end; tenth += 100) ticked.add(tenth);
    }
    const within = runs.filter(([from, to]) => to > from);
    const naive = [...ticked].filter((tenth) =>
      within.some(
        ([from, to]) => tenth >= from && tenth < (to > seconds * 1000 - 1000 ? seconds * 1000 : to),
      ),
    ).length;
    expect(shareWatched(runs, seconds)).toBeCloseTo((naive * 100) / (seconds * 1000), 9);
    const apart = united(runs);
    expect(united(apart)).toEqual(apart);
    expect(united([...runs].reverse())).toEqual(apart);
    apart.forEach(([from], index) => expect(from).toBeGreaterThan(apart[index - 1]?.[1] ?? -1));
  }
});

describe('clause by clause', () => {
  test.each<[words: string, runs: readonly Run[], seconds: number | null, share: number | null]>([
    ['nothing', [], 100, 0],
    [
      'twice the same counts once',
      [
        [0, 50_000],
        [0, 50_000],
      ],
      100,
      0.5,
    ],
    [
      'jumping adds nothing',
      [
        [0, 10_000],
        [90_000, 95_000],
      ],
      100,
      0.15,
    ],
    ['the last second is the end', [[95_000, 99_100]], 100, 0.05],
    ['a whole second before it is not', [[95_000, 99_000]], 100, 0.04],
    ['what lies beyond it is not in it', [[0, 500_000]], 100, 1],
    ['a run that begins beyond it is none', [[100_000, 120_000]], 100, 0],
    ['no length, no share', [[0, 50_000]], null, null],
    ['a length of nought is none', [[0, 50_000]], 0, null],
  ])('%s', (_words, runs, seconds, share) => {
    expect(shareWatched(runs, seconds)).toEqual(share);
  });

  test('without a length nothing is cut, and what is empty is nothing', () => {
    expect(
      runsWithin(
        [
          [0, 5],
          [7, 7],
          [9, 8],
        ],
        null,
      ),
    ).toEqual([[0, 5]]);
  });

  test('sixteen times as fast as time passes, all runs of a report together, and no faster', () => {
    expect(isTooFast([[0, 16_000]], 1000)).toBe(false);
    expect(isTooFast([[0, 16_001]], 1000)).toBe(true);
    expect(
      isTooFast(
        [
          [0, 9000],
          [20_000, 27_001],
        ],
        1000,
      ),
    ).toBe(true);
    // The same stretch twice was played twice.
    expect(
      isTooFast(
        [
          [0, 9000],
          [0, 9000],
        ],
        1000,
      ),
    ).toBe(true);
    expect(isTooFast([], 0)).toBe(false);
    expect(isTooFast([[0, 1]], -5000)).toBe(true);
  });
});
