/** Much of the same, one after another, beside answering and not in its way. */

/** Longer than this nobody else waits for the processor. In milliseconds. */
const PIECE_MS = 10;

/** @returns what comes of each, in their order; it gives way to whoever else is to be answered, again and again. */
export async function inPieces<One, Result>(
  all: readonly One[],
  work: (one: One) => Result,
): Promise<readonly Result[]> {
  const results: Result[] = [];
  let since = performance.now();
  for (const one of all) {
    results.push(work(one));
    if (performance.now() - since < PIECE_MS) continue;
    await new Promise(setImmediate);
    since = performance.now();
  }
  return results;
}
