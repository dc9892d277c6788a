/** Values by a key, in their order. */
export function grouped<T, V>(
  all: readonly T[],
  keyOf: (one: T) => string,
  valueOf: (one: T) => V,
): ReadonlyMap<string, readonly V[]> {
  const found = new Map<string, V[]>();
  for (const one of all) {
    const key = keyOf(one);
    const values = found.get(key);
    if (values === undefined) found.set(key, [valueOf(one)]);
    else values.push(valueOf(one));
  }
  return found;
}
