/**
 * Those who change the same thing, one after another. Whoever waits does so here, and not with a connection to the
 * database in hand: all others have those, however long the one before takes.
 */
import pLimit from 'p-limit';
import type { LimitFunction } from 'p-limit';
import { Busy } from './lane.ts';

const MOST_MS = 5_000;
/** In seconds. */
const AGAIN_S = 2;

export type InTurn = <T>(key: string, work: () => Promise<T>) => Promise<T>;

/** @returns what does a piece of work when nobody else is at the same thing; it throws Busy where that takes too long. */
export function openTurns(doing: string, clock: () => number = () => performance.now()): InTurn {
  const lanes = new Map<string, LimitFunction>();
  return async (key, work) => {
    const lane = lanes.get(key) ?? pLimit(1);
    lanes.set(key, lane);
    const asked = clock();
    try {
      return await lane(() => {
        if (clock() - asked > MOST_MS)
          throw new Busy(`Very many ${doing} just now; try again in a moment`, AGAIN_S);
        return work();
      });
    } finally {
      if (lane.activeCount + lane.pendingCount === 0) lanes.delete(key);
    }
  };
}
