/**
 * Structural sharing: a value that says the same as another, made of the other's parts wherever they say the
 * same. Whoever shows it can tell by identity what has changed.
 */
export function share<T>(before: T, next: T): T {
  if (before === next || !isPlain(before) || !isPlain(next)) return next;
  if (Array.isArray(before) !== Array.isArray(next)) return next;
  return Array.isArray(next)
    ? (shareArray(before as readonly unknown[], next) as T)
    : (shareObject(before, next) as T);
}

function isPlain(value: unknown): value is Readonly<Record<string, unknown>> {
  if (value === null || typeof value !== 'object') return false;
  const kind: unknown = Object.getPrototypeOf(value);
  return kind === Object.prototype || kind === Array.prototype || kind === null;
}

/** Things with an id are the same thing wherever they stand; others are told apart by their place. */
function shareArray(before: readonly unknown[], next: readonly unknown[]): readonly unknown[] {
  const byId = new Map(before.flatMap((one) => (isPlain(one) && 'id' in one ? [[one['id'], one]] : [])));
  const made = next.map((one, at) =>
    share(isPlain(one) && 'id' in one ? byId.get(one['id']) : before[at], one),
  );
  const isSame = before.length === made.length && made.every((one, at) => one === before[at]);
  return isSame ? before : made;
}

function shareObject(
  before: Readonly<Record<string, unknown>>,
  next: Readonly<Record<string, unknown>>,
): Readonly<Record<string, unknown>> {
  const keys = Object.keys(next);
  const had = (key: string): boolean => Object.hasOwn(before, key);
  // Whatever a key is called: set one by one, "__proto__" would be something else.
  const made = Object.fromEntries(
    keys.map((key) => [key, had(key) ? share(before[key], next[key]) : next[key]]),
  );
  const isSame =
    keys.length === Object.keys(before).length && keys.every((key) => had(key) && made[key] === before[key]);
  return isSame ? before : made;
}
