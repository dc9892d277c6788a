/** Pictures are unpacked one at a time, beside answering, with a bound on how many wait and on how long one takes. */
import pLimit from 'p-limit';
import sharp from 'sharp';
import { Failure } from '../usecases/failure.ts';

const lane = pLimit(1);
const MOST_WAITING = 100;
/** The largest picture there can be takes a tenth of it. */
export const MOST_S = 60;
const RETRY_S = 10;

// One thread for one picture: the other processor answers.
sharp.concurrency(1);
sharp.cache(false);

/** @throws Failure `busy` when very many wait. */
export function unpacked<T>(work: () => Promise<T>): Promise<T> {
  if (lane.pendingCount >= MOST_WAITING) {
    throw new Failure('busy', 'Very many pictures are being looked at; try again in a moment', [], RETRY_S);
  }
  return lane(work);
}
