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
  /** It has a key, and no other row has any of its keys: as nearly all do. */
  readonly isAlone: boolean;
}

export const hasKey = ({ id, address, userName }: ListRow): boolean =>
  id !== null || address !== null || userName !== null;

/** Without a key, nothing says that two rows that differ are one person. */
const personOf = (row: ListRow): string => cellsOf(row, hasKey(row) ? null : row.class);

/** Of one kind of key: all that were seen, and those that were seen more than once. */
class Seen {
  private readonly once = new Set<string>();
  private readonly often = new Set<string>();

  see(key: string): void {
    if (this.once.has(key)) this.often.add(key);
    else this.once.add(key);
  }
  isOften = (key: string | null): boolean => key !== null && this.often.has(key);
}

/** @returns whether a row shares a key with another of these. */
function sharing(rows: readonly ListRow[]): (row: ListRow) => boolean {
  const ids = new Seen();
  const addresses = new Seen();
  const userNames = new Seen();
  for (const { id, address, userName } of rows) {
    if (id !== null) ids.see(id);
    if (address !== null) addresses.see(addressKey(address));
    if (userName !== null) userNames.see(userName);
  }
  return ({ id, address, userName }) =>
    ids.isOften(id) ||
    addresses.isOften(address === null ? null : addressKey(address)) ||
    userNames.isOften(userName);
}

const NO_CLASSES: readonly string[] = [];

/**
 * @param isKnown whether it is known already that a row, by its place, shares no key with any other
 * @returns entries, and of each the place of its first row
 */
export function entriesOf(
  rows: readonly ListRow[],
  isKnown: (at: number) => boolean,
): { readonly entries: readonly Entry[]; readonly firsts: readonly number[] } {
  const isShared = sharing(rows.filter((_, at) => !isKnown(at)));
  const found = new Map<string, Making>();
  const entries: Entry[] = [];
  const firsts: number[] = [];
  for (let at = 0; at < rows.length; at += 1) {
    const row = rows[at] as ListRow;
    const classes = row.class === null ? NO_CLASSES : [row.class];
    const lines = [row.line];
    // A key that no other row has names the row; all others are compared cell for cell.
    if (isKnown(at) || (hasKey(row) && !isShared(row))) {
      entries.push({ key: firstKeyOf(row), row, classes, lines, isAlone: true });
      firsts.push(at);
      continue;
    }
    const key = personOf(row);
    const entry = found.get(key);
    if (entry === undefined) {
      const making: Making = { key, row, classes: [...classes], lines, isAlone: false };
      found.set(key, making);
      entries.push(making);
      firsts.push(at);
      continue;
    }
    if (row.class !== null && !entry.classes.includes(row.class)) entry.classes.push(row.class);
    entry.lines.push(row.line);
  }
  return { entries, firsts };
}

/** While rows are still being added to it. */
interface Making extends Entry {
  readonly classes: string[];
  readonly lines: number[];
}

function firstKeyOf({ id, address, userName }: ListRow): string {
  if (id !== null) return `id ${id}`;
  return address === null ? `user ${userName ?? ''}` : `address ${addressKey(address)}`;
}

/** The keys of a row by which two rows, or a row and a member, are one; each with what it is a key of. */
export function keysOf(one: Pick<Named, 'id' | 'address' | 'userName'>): readonly string[] {
  const keys: string[] = [];
  if (one.id !== null) keys.push(`id ${one.id}`);
  if (one.address !== null) keys.push(`address ${addressKey(one.address)}`);
  if (one.userName !== null) keys.push(`user ${one.userName}`);
  return keys;
}
