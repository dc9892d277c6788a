/**
 * A class list, from whatever was pasted or uploaded to rows of people: nothing is taken from it before somebody has
 * seen how it is read, and every guess can be put right (docs/semantics.md, Lists of people).
 */
import { addressesIn, isAddress } from './addresses.ts';
import { gridOf, usualWidth } from './cells.ts';
import type { GridRow } from './cells.ts';
import { guessColumns } from './columns.ts';
import type { ColumnGuess } from './columns.ts';
import { columnCalled, isSum, roleCalled } from './headings.ts';
import { LIST_COLUMNS } from './list-row.ts';
import type { Doubt, ListColumn, ListRow } from './list-row.ts';

export interface ListReading {
  readonly shape: 'table' | 'addresses';
  /** The headings as they stand; null: the list has none. */
  readonly heading: readonly string[] | null;
  readonly columns: readonly ColumnGuess[];
  /** Of each column, the first cells that hold something, as they stand. */
  readonly samples: readonly (readonly string[])[];
  readonly rows: readonly ListRow[];
  /** Lines that are no people, from 1: what stands above the list, below it, and headings that come again. */
  readonly leftOut: readonly { readonly line: number; readonly why: 'above' | 'sum' | 'heading' | 'empty' }[];
}

export interface ListChoices {
  /** By the number of the column, from 0: what somebody has said that it is. */
  readonly columns?: Readonly<Record<number, ListColumn>>;
  /** Whether the first row of the table is headings; left out: it is seen. */
  readonly hasHeading?: boolean;
}

const SAMPLES = 3;
/** Looked through for them, and no further. */
const SAMPLED_ROWS = 50;

const samplesOf = (rows: readonly GridRow[], at: number): readonly string[] =>
  rows
    .slice(0, SAMPLED_ROWS)
    .flatMap(({ cells }) => cells[at] || [])
    .slice(0, SAMPLES);

/** Above a list stand a title, a date, a few words; no more. */
const MOST_ABOVE = 15;

const filled = ({ cells }: GridRow): number => cells.filter((cell) => cell !== '').length;

/** The row of headings: the first that names what columns hold, two at least where there are two. */
function headingAt(rows: readonly GridRow[], width: number): number {
  const wanted = Math.min(2, width);
  return rows.slice(0, MOST_ABOVE).findIndex((row) => {
    const named = row.cells.filter((cell) => columnCalled(cell) !== null).length;
    return named >= wanted || (named >= 1 && named === filled(row) && filled(row) === width);
  });
}

/** Somebody is in a row that holds an address or an id, or as much as most rows do. */
function isPerson(row: GridRow, width: number): boolean {
  return row.cells.some(isAddress) || filled(row) >= Math.max(1, Math.ceil(width / 2));
}

/** Where each kind of column stands; the first of a kind. */
type Places = Readonly<Record<ListColumn, number | undefined>>;

const NO_PLACES = Object.fromEntries(LIST_COLUMNS.map((column) => [column, undefined])) as Places;

const placesOf = (columns: readonly ColumnGuess[]): Places => ({
  ...NO_PLACES,
  ...Object.fromEntries(columns.map(({ column }, at) => [column, at]).reverse()),
});

const POWER = /^\d+(?:[.,]\d+)?E\+?\d+$/i;
const DAY = /^(?:\d{1,2}[-/. ][A-Za-zÀ-ÿ]{3,4}\.?(?:[-/. ]\d{2,4})?|[A-Za-zÀ-ÿ]{3,4}\.?-\d{2})$/;
/** As a spreadsheet writes what does not fit its column. */
const CUT_OFF = /^#+$/;
const NOTHING = /^(?:n\/a|-+|–|null)$/i;
/** The longest of them. */
const SHORT = 4;

/** Of a row; of most rows nothing is doubted. */
class Doubts {
  all: readonly Doubt[] = NO_DOUBTS;
  add(doubt: Doubt): void {
    this.all = [...this.all, doubt];
  }
}
const NO_DOUBTS: readonly Doubt[] = [];

/** What a column of a row holds; null: nothing. What cannot be read is doubted. */
function cellOf(row: GridRow, places: Places, column: ListColumn, doubts: Doubts): string | null {
  const at = places[column];
  const value = at === undefined ? '' : (row.cells[at] ?? '');
  if (value === '' || (value.length <= SHORT && NOTHING.test(value))) return null;
  if (!value.startsWith('#') || !CUT_OFF.test(value)) return value;
  doubts.add({ code: 'cut_off', column, value });
  return null;
}

function idOf(value: string | null, doubts: Doubts): string | null {
  const code = value === null ? null : POWER.test(value) ? 'power' : DAY.test(value) ? 'date' : null;
  if (value === null || code === null) return value;
  doubts.add({ code, column: 'id', value });
  return null;
}

function addressOf(value: string | null, doubts: Doubts): string | null {
  if (value === null || isAddress(value)) return value;
  const plain = /<\s*([^<>\s]+)\s*>$/.exec(value)?.[1] ?? value.replace(/^mailto:/i, '');
  if (isAddress(plain)) return plain;
  doubts.add({ code: 'no_address', column: 'address', value });
  return null;
}

function roleOf(value: string | null, doubts: Doubts): ListRow['role'] {
  const role = value === null ? null : roleCalled(value);
  if (value !== null && role === null) doubts.add({ code: 'unknown_role', column: 'role', value });
  return role;
}

/** In two where a list has both halves, else in one. */
function nameOf(row: GridRow, places: Places, doubts: Doubts): Pick<ListRow, 'given' | 'family' | 'name'> {
  // Only what has a comma is two: "Family, Given". Without one it may be any number of names.
  const both = cellOf(row, places, 'familyGiven', doubts);
  const [before = null, after = null] = both?.includes(',') === true ? both.split(/\s*,\s*(.*)/) : [];
  const given = cellOf(row, places, 'given', doubts) ?? after;
  const family = cellOf(row, places, 'family', doubts) ?? before;
  const name = cellOf(row, places, 'name', doubts) ?? (before === null ? both : null);
  // Where one half is missing, the whole name says more.
  const isInTwo = name === null || (given !== null && family !== null);
  return isInTwo ? { given, family, name: null } : { given: null, family: null, name };
}

function rowOf(row: GridRow, places: Places): ListRow {
  const doubts = new Doubts();
  const { given, family, name } = nameOf(row, places, doubts);
  return {
    line: row.line,
    id: idOf(cellOf(row, places, 'id', doubts), doubts),
    given,
    family,
    name,
    address: addressOf(cellOf(row, places, 'address', doubts), doubts),
    userName: cellOf(row, places, 'userName', doubts),
    class: cellOf(row, places, 'class', doubts),
    role: roleOf(cellOf(row, places, 'role', doubts), doubts),
    group: cellOf(row, places, 'group', doubts),
    doubts: doubts.all,
  };
}

const NOBODY = {
  id: null,
  given: null,
  family: null,
  name: null,
  userName: null,
  class: null,
  role: null,
  group: null,
};

function ofAddresses(text: string): ListReading | null {
  const people = addressesIn(text);
  if (people === null) return null;
  const rows = people.map(({ line, name, address }): ListRow => {
    const [family, given] = name?.split(/\s*,\s*/) ?? [];
    const isInTwo = given !== undefined && family !== undefined && name?.split(',').length === 2;
    return {
      ...NOBODY,
      line,
      address,
      ...(isInTwo ? { family, given } : { name }),
      doubts: [],
    };
  });
  return { shape: 'addresses', heading: null, columns: [], samples: [], rows, leftOut: [] };
}

/**
 * @param text of the list, which is not refused (limits.ts); its lines end as they may
 * @param choices what somebody has put right in an earlier reading
 */
export function readList(text: string, choices: ListChoices = {}): ListReading {
  const unmarked = text.startsWith('\ufeff') ? text.slice(1) : text;
  const body = unmarked.includes('\r') ? unmarked.replaceAll(/\r\n?/g, '\n') : unmarked;
  const addresses = choices.columns === undefined ? ofAddresses(body) : null;
  if (addresses !== null) return addresses;
  const { rows: all } = gridOf(body);
  const width = Math.max(usualWidth(all), 1);
  const found = choices.hasHeading === false ? -1 : headingAt(all, width);
  const first = all.findIndex((row) => isPerson(row, width));
  const top = found !== -1 ? found : choices.hasHeading === true ? first : -1;
  const from = top !== -1 ? top + 1 : Math.max(first, 0);
  const heading = top === -1 ? null : (all[top]?.cells ?? null);
  const leftOut: ListReading['leftOut'][number][] = all
    .slice(0, top === -1 ? from : top)
    .map(({ line }) => ({ line, why: 'above' }));

  const words = (cells: readonly string[]): string => cells.join('\t');
  const headingWords = heading === null ? null : words(heading);
  const people: GridRow[] = [];
  for (const row of all.slice(from)) {
    const isAgain = row.cells[0] === heading?.[0] && words(row.cells) === headingWords;
    if (isAgain) leftOut.push({ line: row.line, why: 'heading' });
    else people.push(row);
  }
  // From its end up: sums, and words about the list, until somebody stands there.
  while (people.length > 0) {
    const last = people.at(-1) as GridRow;
    const said = last.cells.find((cell) => cell !== '') ?? '';
    const isWords = width > 2 && filled(last) === 1 && !last.cells.some(isAddress);
    if (last.cells.some(isAddress) || !(isSum(said) || isWords)) break;
    leftOut.push({ line: last.line, why: 'sum' });
    people.pop();
  }

  const widest = people.reduce((most, { cells }) => Math.max(most, cells.length), heading?.length ?? width);
  const guesses = guessColumns(people, heading, widest);
  const columns = guesses.map((guess, at): ColumnGuess => {
    const chosen = choices.columns?.[at];
    if (chosen !== undefined) return { column: chosen, certainty: 'chosen' };
    // What somebody chose for one column, no other is.
    const isChosenElsewhere = Object.values(choices.columns ?? {}).includes(guess.column);
    return isChosenElsewhere && guess.column !== 'ignored' ? { column: 'ignored', certainty: 'seen' } : guess;
  });
  const places = placesOf(columns);
  return {
    shape: 'table',
    heading,
    columns,
    samples: columns.map((_, at) => samplesOf(people, at)),
    rows: people.map((row) => rowOf(row, places)),
    leftOut: leftOut.sort((a, b) => a.line - b.line),
  };
}
