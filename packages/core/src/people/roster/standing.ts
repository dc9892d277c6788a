/** Who is in the course, found by what a row of a list may know them by. */
import type { ListRow } from '../lists/list-row.ts';
import { nameKey } from '../lists/words.ts';
import { addressKey, calledOf } from './roster.ts';
import type { Roster, RosterMember } from './roster.ts';

/** A member in a reckoning: how many rows may mean them. */
export interface Standing {
  readonly member: RosterMember;
  rows: number;
}
/** Whom a row means by its keys: plainly one, or any number of whom it is asked. */
export type ByKeys = Standing | readonly Standing[];
type Found = Standing | Standing[];
export type Names = Pick<Index, 'get'>;

export const listed = (found: Found | undefined): readonly Standing[] =>
  found === undefined ? [] : Array.isArray(found) ? found : [found];

/** The members by one kind of key. */
class Index {
  private readonly found = new Map<string, Found>();
  /** No two of them have the same. */
  isUnique = true;

  put(key: string, one: Standing): void {
    const found = this.found.get(key);
    if (found === undefined) {
      this.found.set(key, one);
      return;
    }
    this.isUnique = false;
    if (Array.isArray(found)) found.push(one);
    else this.found.set(key, [found, one]);
  }
  get = (key: string): Found | undefined => this.found.get(key);
}

export class Members {
  readonly all: readonly Standing[];
  private readonly byId = new Index();
  private readonly byAddress = new Index();
  private readonly byUserName = new Index();
  private readonly byCells = new Index();

  constructor(roster: Roster) {
    const all: Standing[] = [];
    for (const member of roster.values()) {
      const one = { member, rows: 0 };
      all.push(one);
      const { id, address, userName, cells, isPlace } = member;
      if (id !== null) this.byId.put(id, one);
      if (address !== null) this.byAddress.put(addressKey(address), one);
      if (userName !== null) this.byUserName.put(userName, one);
      if (isPlace && cells !== null) this.byCells.put(cells, one);
    }
    this.all = all;
  }

  /** Those whom no key has decided yet, by name. */
  names(): Names {
    const found = new Index();
    for (const one of this.all) if (one.rows === 0) found.put(nameKey(calledOf(one.member)), one);
    return found;
  }

  /**
   * Whom a row means, where each of its keys is theirs and nobody else's: as it mostly is. Rows that mean different
   * members so share no key with one another.
   */
  private plainly({ id, address, userName }: ListRow): Standing | null {
    const one =
      id !== null
        ? this.byId.get(id)
        : address !== null
          ? this.byAddress.get(addressKey(address))
          : this.byUserName.get(userName ?? '');
    if (one === undefined || Array.isArray(one)) return null;
    const isTheirs =
      (id === null || address === null || (address === one.member.address && this.byAddress.isUnique)) &&
      (userName === null || (userName === one.member.userName && this.byUserName.isUnique));
    return isTheirs ? one : null;
  }

  /** Whom rows mean by their keys; each who may be meant counts how many rows may mean them. */
  meantBy(rows: readonly ListRow[]): readonly ByKeys[] {
    return rows.map((row) => {
      const one = this.plainly(row);
      if (one !== null) {
        one.rows += 1;
        return one;
      }
      const several = this.withKeysOf(row);
      for (const each of several) each.rows += 1;
      return several;
    });
  }

  /** By any key of a row, in the order of the keys, the same one once. */
  private withKeysOf({ id, address, userName }: ListRow): readonly Standing[] {
    const first = id === null ? undefined : this.byId.get(id);
    const second = address === null ? undefined : this.byAddress.get(addressKey(address));
    const third = userName === null ? undefined : this.byUserName.get(userName);
    if (first === undefined && second === undefined && third === undefined) return NOBODY;
    return [...new Set([first, second, third].flatMap(listed))];
  }
  madeOf = (cells: string): readonly Standing[] => listed(this.byCells.get(cells));
}

const NOBODY: readonly Standing[] = [];
