/** The rows of a list by whom they mean: rows that are alike are one, and rows of one person hold all its classes. */
import type { ListRow, Named } from '../lists/list-row.ts';
import { addressKey, cellsOf } from './roster.ts';

export interface Entry {
  /** What it is chosen by; the same for the same rows, wherever they stand in a list. */
  readonly key: string;
  readonly row: ListRow;
  /** In their order in the list, each once. */
  readonly classes: readonly string[];
  /** Of the rows that it stands for. */
  readonly lines: readonly number[];
  /** By which it and another row, or it and a member, are one. */
  readonly keys: readonly string[];
}

export const hasKey = ({ id, address, userName }: ListRow): boolean =>
  id !== null || address !== null || userName !== null;

/** Without a key, nothing says that two rows that differ are one person. */
const personOf = (row: ListRow): string => cellsOf(row, hasKey(row) ? null : row.class);

export function entriesOf(rows: readonly ListRow[]): readonly Entry[] {
  const keysOfRows = rows.map(keysOf);
  const once = new Set<string>();
  const often = new Set<string>();
  for (const keys of keysOfRows)
    for (const key of keys)
      if (once.has(key)) often.add(key);
      else once.add(key);
  const found = new Map<string, Making>();
  const entries: Making[] = [];
  for (let at = 0; at < rows.length; at += 1) {
    const row = rows[at] as ListRow;
    const keys = keysOfRows[at] as readonly string[];
    // A key that no other row has names the row; all others are compared cell for cell.
    const isAlone = keys.length > 0 && (often.size === 0 || !keys.some((key) => often.has(key)));
    const key = isAlone ? (keys[0] as string) : personOf(row);
    const entry = isAlone ? undefined : found.get(key);
    if (entry === undefined) {
      const made = { key, row, classes: row.class === null ? [] : [row.class], lines: [row.line], keys };
      if (!isAlone) found.set(key, made);
      entries.push(made);
      continue;
    }
    if (row.class !== null && !entry.classes.includes(row.class)) entry.classes.push(row.class);
    entry.lines.push(row.line);
  }
  return entries;
}

/** While rows are still being added to it. */
interface Making extends Entry {
  readonly classes: string[];
  readonly lines: number[];
}

/** No other entry shares a key with it. */
export const isAlone = ({ key, keys }: Entry): boolean => key === keys[0];

/** The keys of a row by which two rows, or a row and a member, are one; each with what it is a key of. */
export function keysOf(one: Pick<Named, 'id' | 'address' | 'userName'>): readonly string[] {
  const keys: string[] = [];
  if (one.id !== null) keys.push(`id ${one.id}`);
  if (one.address !== null) keys.push(`address ${addressKey(one.address)}`);
  if (one.userName !== null) keys.push(`user ${one.userName}`);
  return keys;
}
