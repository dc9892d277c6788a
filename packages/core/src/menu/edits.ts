/** Edits to the menu, which is set entry by entry. */
import { setTableEntry } from '../course/edits/making.ts';
import type { Edit } from '../course/edits/edits.ts';
import type { MenuEntry } from '../course/schema/menu-schema.ts';
import type { Course } from '../course/schema/schema.ts';

/** Null takes the entry away for good: for undoing an insertion. */
export function setEntry(course: Course, id: string, entry: MenuEntry | null): Edit {
  return setTableEntry(course, 'menu', id, entry);
}

/** What such an edit sets, under its id. */
export function entryOf(edit: Edit): readonly [string, MenuEntry] {
  const { field, value } = edit as Extract<Edit, { kind: 'set' }>;
  return [field.slice('menu.'.length), value as MenuEntry];
}

/** Below this two places cannot be told apart for long: the list is numbered anew. */
const LEAST_GAP = 1e-6;

interface Ordered {
  readonly at: number;
}

/**
 * Puts one of a list elsewhere in it. Mostly one place changes; once neighbours have come too close to each
 * other, all are numbered anew.
 *
 * @param list in its order.
 * @param to the index at which it stands afterwards.
 * @returns the places that change, by id.
 */
export function reordered(
  list: readonly (readonly [string, Ordered])[],
  id: string,
  to: number,
): ReadonlyMap<string, number> {
  const from = list.findIndex(([one]) => one === id);
  const others = list.filter(([one]) => one !== id);
  const index = Math.min(Math.max(to, 0), others.length);
  if (from === index || from < 0) return new Map();
  const before = others[index - 1]?.[1].at ?? null;
  const after = others[index]?.[1].at ?? null;
  const low = before ?? 0;
  const high = after ?? low + 2;
  if (high - low > LEAST_GAP) return new Map([[id, (low + high) / 2]]);
  const ids = others.map(([one]) => one).toSpliced(index, 0, id);
  return new Map(ids.map((one, at) => [one, at + 1]));
}
