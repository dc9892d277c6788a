/** The rows of a list by whom they mean: rows that are alike are one, and rows of one person hold all its classes. */
import type { ListRow } from '../lists/list-row.ts';
import { addressKey, cellsOf } from './roster.ts';

export interface Entry {
  /** What it is chosen by; the same for the same rows, wherever they stand in a list. */
  readonly key: string;
  readonly row: ListRow;
  /** In their order in the list, each once. */
  readonly classes: readonly string[];
  /** Of the rows that it stands for. */
  readonly lines: readonly number[];
}

export const hasKey = ({ id, address, userName }: ListRow): boolean =>
  id !== null || address !== null || userName !== null;

/** Without a key, nothing says that two rows that differ are one person. */
const personOf = (row: ListRow): string => (hasKey(row) ? cellsOf({ ...row, class: null }) : cellsOf(row));

export function entriesOf(rows: readonly ListRow[]): readonly Entry[] {
  const found = new Map<string, { row: ListRow; classes: string[]; lines: number[] }>();
  for (const row of rows) {
    const key = personOf(row);
    const entry = found.get(key) ?? { row, classes: [], lines: [] };
    if (row.class !== null && !entry.classes.includes(row.class)) entry.classes.push(row.class);
    entry.lines.push(row.line);
    found.set(key, entry);
  }
  return [...found].map(([key, entry]) => ({ key, ...entry }));
}

/** The keys of a row by which two rows, or a row and a member, are one; each with what it is a key of. */
export function keysOf(one: {
  readonly id: string | null;
  readonly address: string | null;
  readonly userName: string | null;
}): readonly string[] {
  return [
    ...(one.id === null ? [] : [`id ${one.id}`]),
    ...(one.address === null ? [] : [`address ${addressKey(one.address)}`]),
    ...(one.userName === null ? [] : [`user ${one.userName}`]),
  ];
}
