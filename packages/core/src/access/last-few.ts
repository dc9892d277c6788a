/** What has been worked out for the persons who asked last: a course that stands for months has more of them than there is room for. */

const MOST = 100;

/** What is known under the key, or what `make` makes of it; the one made longest ago goes first. */
export function knownOr<T>(known: Map<string, T>, key: string, make: () => T): T {
  const found = known.get(key);
  if (found !== undefined) return found;
  const value = make();
  known.set(key, value);
  if (known.size > MOST) known.delete(known.keys().next().value as string);
  return value;
}
