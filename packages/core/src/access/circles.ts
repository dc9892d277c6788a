/** What waits for itself, by way of others. */
import type { Row } from './compile.ts';
import { canCome, metAt, waitsOf } from './reach.ts';
import type { Reach } from './reach.ts';

/** The rows that it waits for, and they for others, back to itself; the shortest way round. */
export function circleThrough(reach: Reach, found: readonly number[], at: number): readonly string[] | null {
  const { rows, rowOf } = reach.compiled;
  const start = (rows[at] as Row).node.id;
  const next = (id: string): readonly string[] => {
    const row = rowOf.get(id);
    if (row === undefined) return [];
    return waitsOf(reach, row)
      .filter((one) => canCome(reach, one) && metAt(reach, found, one) === Infinity)
      .map((one) => one.id);
  };
  const holds = (id: string): boolean => {
    const row = rowOf.get(id);
    return row !== undefined && (reach.ways[row] as readonly number[]).includes(at);
  };
  const from = new Map<string, string | null>([[start, null]]);
  const queue: string[] = [start];
  for (let index = 0; index < queue.length; index += 1) {
    const here = queue[index] as string;
    for (const id of next(here)) {
      // What a section waits for may stand in it: that is a circle of two.
      if (id === start || holds(id)) return trail(from, id === start ? here : id, id === start ? null : here);
      if (from.has(id)) continue;
      from.set(id, here);
      queue.push(id);
    }
  }
  return null;
}

function trail(
  from: ReadonlyMap<string, string | null>,
  last: string,
  before: string | null,
): readonly string[] {
  const way: string[] = [last];
  let here: string | null = before ?? from.get(last) ?? null;
  while (here !== null) {
    way.push(here);
    here = from.get(here) ?? null;
  }
  return way.reverse();
}
