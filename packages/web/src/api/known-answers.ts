/** Answers as they came last, with the server's mark of each: what is the same still is not sent again. */

export interface Known {
  readonly tag: string;
  /** The very same object: whoever shows it has nothing to draw anew. */
  readonly answer: unknown;
}

/** Whoever goes to and fro has a few pages behind them. */
const MOST = 30;
const known = new Map<string, Known>();

export const knownAnswer = (address: string): Known | null => known.get(address) ?? null;

export function keepAnswer(address: string, tag: string | null, answer: unknown): void {
  known.delete(address);
  if (tag === null) return;
  known.set(address, { tag, answer });
  if (known.size > MOST) known.delete(known.keys().next().value as string);
}
