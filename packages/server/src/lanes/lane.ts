/** Work that takes long: so much of it at once, beside answering, and no more waiting for it than will be served. */
import pLimit from 'p-limit';

/** So much waits already that one more would only wait longer. */
export class Busy extends Error {
  constructor(
    message: string,
    /** In so many seconds it may be tried again. */
    readonly retryAfter: number,
  ) {
    super(message);
  }
}

export interface LaneShape {
  /** What very many are doing just now, as a sentence says it. */
  readonly doing: string;
  readonly mostWaiting: number;
  readonly retryAfter: number;
}

/** @returns what does a piece of work in its turn, one at a time; it throws Busy where too many wait. */
export function openLane({
  doing,
  mostWaiting,
  retryAfter,
}: LaneShape): <T>(work: () => Promise<T>) => Promise<T> {
  const lane = pLimit(1);
  return (work) => {
    if (lane.pendingCount < mostWaiting) return lane(work);
    throw new Busy(`Very many ${doing} just now; try again in a moment`, retryAfter);
  };
}
