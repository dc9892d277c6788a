/** Who is in a course, as a class list is held against it: members and places that nobody has claimed yet. */
import type { ListRole, ListRow, Named } from '../lists/list-row.ts';

export interface RosterMember extends Named {
  /** Of the member or place in this course. */
  readonly key: string;
  /** In their order, each once. */
  readonly classes: readonly string[];
  readonly groups: readonly string[];
  /** A visitor is on no list, and no list makes one. */
  readonly role: ListRole | 'visitor';
  /** Whoever has left or was removed keeps everything, and can return. */
  readonly state: 'in' | 'out';
  /** Nobody has claimed the place yet. */
  readonly isPlace: boolean;
  /** An earlier list, or the registry, had them. */
  readonly isListed: boolean;
  /** The row that a list made the place of, cell for cell; null: no list did. */
  readonly cells: string | null;
}

/** By key. */
export type Roster = ReadonlyMap<string, RosterMember>;

/** A row in all its cells: rows of which this is the same are one. */
export function cellsOf(row: ListRow, inClass = row.class): string {
  const { id, given, family, name, address, userName, role, group } = row;
  return JSON.stringify([id, given, family, name, address, userName, role, group, inClass]);
}

/** Addresses are the same in any case, and nothing else is changed in them. */
export const addressKey = (address: string): string =>
  PLAIN.test(address) ? address : address.toLowerCase();

/** As most are written: nothing in it changes by its case, and that is seen sooner than it is changed. */
const PLAIN = /^[a-z0-9@._+-]*$/;

/** How an institution writes names where one looks people up: `Adaeze Okpara` or `Okpara, Adaeze`. */
export const NAME_ORDERS = ['given_first', 'family_first'] as const;
export type NameOrder = (typeof NAME_ORDERS)[number];

/** In a table of people. Only a name that somebody has said in two can stand the other way round. */
export function filedAs(named: Pick<Named, 'given' | 'family' | 'name'>, order: NameOrder): string {
  const { given, family } = named;
  return order === 'family_first' && given !== null && family !== null
    ? `${family}${ARABIC.test(family) ? '،' : ','} ${given}`
    : calledOf(named);
}
/** Of which the comma is another. */
const ARABIC = /\p{Script=Arabic}/u;

/** Given before family; empty for nobody. */
export function calledOf({ given, family, name }: Pick<Named, 'given' | 'family' | 'name'>): string {
  if (given !== null && family !== null) return `${given} ${family}`;
  return given ?? family ?? name ?? '';
}
