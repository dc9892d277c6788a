/** Chance that comes the same each time. */

/** Numbers of the normal distribution with mean 0 and deviation 1, by Box and Muller, from Mulberry32. */
export function normals(seed: number): () => number {
  const next = evenly(seed);
  return () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
}

/** Mulberry32. @returns numbers from 0, below 1 */
export function evenly(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}
