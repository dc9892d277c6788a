/**
 * Pages that are looked at, a few at a time. One processor answers them no faster all at once, and whoever saves
 * something meanwhile would wait behind every one of them at each of their steps.
 */
import pLimit from 'p-limit';

/** Enough that the database never waits for the next one. */
const AT_ONCE = 4;
/** Whatever takes longer waits for something else than the processor, and others go on. In milliseconds. */
const MOST_MS = 250;

export type AmongReaders = <T>(work: () => Promise<T>) => Promise<T>;

/** @returns what does a piece of work in its turn; how it ends is for whoever asked for it. */
export function openReaders(atOnce: number = AT_ONCE, mostMs: number = MOST_MS): AmongReaders {
  const lane = pLimit(atOnce);
  return (work) =>
    new Promise((resolve, reject) => {
      void lane(async () => {
        let long: NodeJS.Timeout | undefined;
        const done = work().then(resolve, reject);
        await Promise.race([done, new Promise((free) => (long = setTimeout(free, mostMs)))]);
        clearTimeout(long);
      });
    });
}
