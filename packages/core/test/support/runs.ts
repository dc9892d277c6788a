/**
 * How many random cases a comparison takes: a quarter of them with every change, and all of them when asked for
 * (`npm test -- --long`), since what the first quarter does not find is rare.
 */
export const ALL = process.env['ITINERARY_LONG'] === '1';

/** @param share one in so many of them; of the comparisons that need minutes for all, fewer. */
export function runs(all: number, share = 4): number {
  return ALL ? all : Math.ceil(all / share);
}
