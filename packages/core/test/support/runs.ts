/**
 * How many random cases a comparison takes: a quarter of them with every change, and all of them when asked for
 * (`npm test -- --long`), since what the first quarter does not find is rare. Where faults are put in by the hundred
 * (`npm run mutants`), each comparison goes through a few.
 */
export const ALL = process.env['ITINERARY_LONG'] === '1';
export const FEW = process.env['ITINERARY_FEW'] === '1';

/** @param share one in so many of them; of the comparisons that need minutes for all, fewer. */
export function runs(all: number, share = 4): number {
  if (ALL) return all;
  return Math.ceil(all / (FEW ? 10 * share : share));
}

/** How often at least something has to have come up among them; where there are few, it need not. */
export function enough(all: number): number {
  return FEW ? -1 : runs(all);
}
