/** Pictures are unpacked one at a time, by one thread, with a bound on how long one takes. */
import sharp from 'sharp';
import { openLane } from './lane.ts';

/** The largest picture there can be takes a tenth of it. */
export const MOST_S = 60;

// One thread for one picture: the other processor answers.
sharp.concurrency(1);
sharp.cache(false);

export const unpacked = openLane({ doing: 'pictures are being looked at', mostWaiting: 100, retryAfter: 10 });
