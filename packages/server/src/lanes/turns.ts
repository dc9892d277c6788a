/**
 * Those who change the same thing, one after another. Whoever waits does so here, and not with a connection to the
 * database in hand: all others have those, however long the one before takes.
 */
import pLimit from 'p-limit';
import type { LimitFunction } from 'p-limit';
import { Busy } from './lane.ts';

/** In seconds. */
const AGAIN_S = 2;

/** `where` tells databases apart, since a process can have several with the same keys. */
export type InTurn = <T>(where: object, key: string, work: () => Promise<T>) => Promise<T>;

/**
 * @param mostMs whoever has waited longer is sent away when their turn comes
 * @returns what does a piece of work when nobody else is at the same thing; it throws Busy where that takes too long
 */
export function openTurns(
  doing: string,
  mostMs: number,
  clock: () => number = () => performance.now(),
): InTurn {
  const all = new WeakMap<object, Map<string, LimitFunction>>();
  return async (where, key, work) => {
    const lanes = all.get(where) ?? new Map<string, LimitFunction>();
    all.set(where, lanes);
    const lane = lanes.get(key) ?? pLimit(1);
    lanes.set(key, lane);
    const asked = clock();
    try {
      return await lane(() => {
        if (clock() - asked > mostMs)
          throw new Busy(`Very many ${doing} just now; try again in a moment`, AGAIN_S);
        return work();
      });
    } finally {
      if (lane.activeCount + lane.pendingCount === 0) lanes.delete(key);
    }
  };
}
