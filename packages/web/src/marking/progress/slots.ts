/**
 * Which element draws which line while one scrolls: what comes into view takes the place of what has left it, and what
 * stays keeps its own, so that nothing is made anew and what has the focus keeps it.
 */
export type Slots = ReadonlyMap<number, number>;

/** @param wanted rising; what is drawn, by its number among all lines */
export function slotted(before: Slots | undefined, wanted: readonly number[]): Slots {
  const taken = before ?? new Map<number, number>();
  const stays = new Set(wanted.flatMap((one) => taken.get(one) ?? []));
  const free = [...taken.values()].filter((slot) => !stays.has(slot));
  let next = Math.max(-1, ...taken.values());
  return new Map(wanted.map((one) => [one, taken.get(one) ?? free.pop() ?? (next += 1)]));
}

/** From the first to before the last, and what is kept beside them; rising. `kept`: below nought, nothing is. */
export function numbers(from: number, to: number, kept: number): readonly number[] {
  const all = Array.from({ length: Math.max(0, to - from) }, (_one, at) => from + at);
  if (kept < 0 || (kept >= from && kept < to)) return all;
  return kept < from ? [kept, ...all] : [...all, kept];
}

export interface DrawnColumn {
  readonly column: number;
  readonly slot: number;
  /** How many are not drawn between it and the one before it. */
  readonly gap: number;
}

export function inARow(slots: Slots): readonly DrawnColumn[] {
  let next = 0;
  return [...slots].map(([column, slot]) => {
    const gap = column - next;
    next = column + 1;
    return { column, slot, gap };
  });
}
