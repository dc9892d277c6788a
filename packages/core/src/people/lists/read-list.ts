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
import type { Doubt, ListColumn, ListRow } from './list-row.ts';
import { bare } from './words.ts';

export interface ListReading {
  readonly shape: 'table' | 'addresses';
  /** The headings as they stand; null: the list has none. */
  readonly heading: readonly string[] | null;
  readonly columns: readonly ColumnGuess[];
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

/** A class list is no longer than that: a larger one is a mistake, and is refused before it is read. */
export const MAX_LIST_ROWS = 20_000;
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

const POWER = /^\d+(?:[.,]\d+)?E\+?\d+$/i;
const DAY = /^(?:\d{1,2}[-/. ][A-Za-zÀ-ÿ]{3,4}\.?(?:[-/. ]\d{2,4})?|[A-Za-zÀ-ÿ]{3,4}\.?-\d{2})$/;
/** As a spreadsheet writes what does not fit its column. */
const CUT_OFF = /^#+$/;

interface Cells {
  readonly of: (column: ListColumn) => string | null;
  readonly doubts: Doubt[];
}

function cellsOf(row: GridRow, columns: readonly ColumnGuess[]): Cells {
  const doubts: Doubt[] = [];
  return {
    doubts,
    of: (column) => {
      const at = columns.findIndex((one) => one.column === column);
      const value = at === -1 ? '' : (row.cells[at] ?? '');
      if (value === '' || /^(?:n\/a|-+|–|null)$/i.test(value)) return null;
      if (!CUT_OFF.test(value)) return value;
      doubts.push({ code: 'cut_off', column, value });
      return null;
    },
  };
}

function idIn({ of, doubts }: Cells): string | null {
  const value = of('id');
  const code = value === null ? null : POWER.test(value) ? 'power' : DAY.test(value) ? 'date' : null;
  if (value === null || code === null) return value;
  doubts.push({ code, column: 'id', value });
  return null;
}

function addressIn({ of, doubts }: Cells): string | null {
  const value = of('address');
  if (value === null) return null;
  const plain = /<\s*([^<>\s]+)\s*>$/.exec(value)?.[1] ?? value.replace(/^mailto:/i, '');
  if (isAddress(plain)) return plain;
  doubts.push({ code: 'no_address', column: 'address', value });
  return null;
}

function rowOf(row: GridRow, columns: readonly ColumnGuess[]): ListRow {
  const cells = cellsOf(row, columns);
  const role = cells.of('role');
  const known = role === null ? null : roleCalled(role);
  if (role !== null && known === null)
    cells.doubts.push({ code: 'unknown_role', column: 'role', value: role });
  // Only what has a comma is two: "Family, Given". Without one it may be any number of names.
  const both = cells.of('familyGiven');
  const [family = null, given = null] = both?.includes(',') === true ? both.split(/\s*,\s*(.*)/) : [];
  const inTwo = { given: cells.of('given') ?? given, family: cells.of('family') ?? family };
  const inOne = cells.of('name') ?? (family === null ? both : null);
  // Where one half is missing, the whole name says more.
  const isInTwo = inOne === null || (inTwo.given !== null && inTwo.family !== null);
  return {
    line: row.line,
    id: idIn(cells),
    ...(isInTwo ? { ...inTwo, name: null } : { given: null, family: null, name: inOne }),
    address: addressIn(cells),
    userName: cells.of('userName'),
    class: cells.of('class'),
    role: known,
    group: cells.of('group'),
    doubts: cells.doubts,
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
  return { shape: 'addresses', heading: null, columns: [], rows, leftOut: [] };
}

/**
 * @param text of the list; its lines end as they may
 * @param choices what somebody has put right in an earlier reading
 */
export function readList(text: string, choices: ListChoices = {}): ListReading {
  const body = text.replace(/^\ufeff/, '').replaceAll(/\r\n?/g, '\n');
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

  const headingWords = heading === null ? null : heading.map(bare).join('\t');
  const people: GridRow[] = [];
  for (const row of all.slice(from)) {
    const isAgain = headingWords !== null && row.cells.map(bare).join('\t') === headingWords;
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
  return {
    shape: 'table',
    heading,
    columns,
    rows: people.map((row) => rowOf(row, columns)),
    leftOut: leftOut.sort((a, b) => a.line - b.line),
  };
}
