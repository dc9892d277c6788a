/** Order keys: strings that sort as the siblings stand, so that one move writes one row. */
import { generateNKeysBetween } from 'fractional-indexing';

export interface Sibling {
  readonly id: string;
  /** The key that the row has now, or null when it is new among these siblings. */
  readonly key: string | null;
}

/**
 * Keys for siblings in the order wanted. As many as possible keep the key they have (the longest run that is
 * already in order), and the rest get keys between them.
 */
export function assignOrderKeys(siblings: readonly Sibling[]): ReadonlyMap<string, string> {
  const kept = longestRising(siblings);
  const keys = new Map<string, string>();
  let below: string | null = null;
  let waiting: string[] = [];
  const place = (above: string | null): void => {
    const made = generateNKeysBetween(below, above, waiting.length);
    waiting.forEach((id, index) => keys.set(id, made[index] as string));
    waiting = [];
  };
  siblings.forEach((sibling, index) => {
    if (!kept.has(index) || sibling.key === null) {
      waiting.push(sibling.id);
      return;
    }
    place(sibling.key);
    keys.set(sibling.id, sibling.key);
    below = sibling.key;
  });
  place(null);
  return keys;
}

/** Indices of a longest strictly rising run of keys (patience sorting, n log n). */
function longestRising(siblings: readonly Sibling[]): ReadonlySet<number> {
  const tops: number[] = [];
  const before: (number | undefined)[] = [];
  siblings.forEach(({ key }, index) => {
    if (key === null) return;
    let low = 0;
    let high = tops.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      const top = siblings[tops[middle] as number]?.key ?? '';
      if (top < key) low = middle + 1;
      else high = middle;
    }
    before[index] = low > 0 ? tops[low - 1] : undefined;
    tops[low] = index;
  });
  const run = new Set<number>();
  for (let index = tops.at(-1); index !== undefined; index = before[index]) run.add(index);
  return run;
}
