/** Which column of a list is what: by its heading, else by what stands in it. */
import { isAddress } from './addresses.ts';
import type { GridRow } from './cells.ts';
import { columnCalled, roleCalled } from './headings.ts';
import type { Certainty, ListColumn } from './list-row.ts';
import { bare } from './words.ts';

export interface ColumnGuess {
  readonly column: ListColumn;
  readonly certainty: Certainty;
}

/** So many rows of a column say what it is. */
const LOOKED_AT = 300;
const MOST = 0.7;

interface Stuff {
  readonly cells: readonly string[];
  readonly share: (test: (cell: string) => boolean) => number;
  readonly different: number;
}

function stuffOf(rows: readonly GridRow[], at: number): Stuff {
  const cells = rows.slice(0, LOOKED_AT).flatMap((row) => (row.cells[at] ? [row.cells[at]] : []));
  return {
    cells,
    share: (test) => (cells.length === 0 ? 0 : cells.filter(test).length / cells.length),
    different: cells.length === 0 ? 0 : new Set(cells.map((cell) => cell.toLowerCase())).size / cells.length,
  };
}

const isId = (cell: string): boolean => /^[A-Za-z]{0,4}[-./ ]?\d[\d-]{3,14}[A-Za-z]?$/.test(cell);
const isUserName = (cell: string): boolean =>
  /^[a-z][a-z0-9._-]{1,31}$/.test(cell) && /[0-9._]|^[a-z]{2,12}$/.test(cell);
const isWord = (cell: string): boolean => /^[\p{L}\p{M}'’.-]+$/u.test(cell);
const isName = (cell: string): boolean => /^[\p{L}\p{M}'’., -]+$/u.test(cell) && /\p{L}{2}/u.test(cell);
const hasComma = (cell: string): boolean => /^[^,]+,\s*[^,]+$/.test(cell) && isName(cell);

/** Few different words for many people. */
const FEW = 0.35;

function seenIn({ cells, share, different }: Stuff): ListColumn | null {
  if (cells.length === 0) return null;
  if (share(isAddress) >= MOST) return 'address';
  if (share((cell) => roleCalled(cell) !== null) >= MOST) return 'role';
  if (share(isId) >= MOST && different > 0.9) return 'id';
  if (share(hasComma) >= MOST) return 'familyGiven';
  if (cells.length >= 4 && different <= FEW && share((cell) => cell.length <= 24) >= MOST) return 'class';
  if (share((cell) => isName(cell) && /\s/.test(cell)) >= 0.6) return 'name';
  if (share(isUserName) >= MOST && different > 0.9) return 'userName';
  return null;
}

/** Two columns of single words side by side are a name in two, the one before the other as people write them here. */
function inTwo(rows: readonly GridRow[], guesses: readonly (ColumnGuess | null)[], at: number): boolean {
  const isFree = (one: number): boolean => guesses[one] === null || guesses[one]?.column === 'userName';
  return [at, at + 1].every((one) => {
    const stuff = stuffOf(rows, one);
    return (
      isFree(one) && stuff.cells.length > 0 && stuff.share((cell) => cell.split(' ').every(isWord)) >= MOST
    );
  });
}

/**
 * @param heading the cells of the row of headings, or null where there is none
 * @returns a guess for each of `width` columns; a column that is nothing known is ignored
 */
export function guessColumns(
  rows: readonly GridRow[],
  heading: readonly string[] | null,
  width: number,
): readonly ColumnGuess[] {
  const guesses: (ColumnGuess | null)[] = [];
  for (let at = 0; at < width; at += 1) {
    const column = heading === null ? null : columnCalled(heading[at] ?? '');
    const isTaken = column !== null && guesses.some((one) => one?.column === column);
    guesses.push(column === null || isTaken ? null : { column, certainty: 'said' });
  }
  const has = (column: ListColumn): boolean => guesses.some((one) => one?.column === column);
  for (let at = 0; at < width; at += 1) {
    // A heading that says something else is believed: "Notes" holds no names.
    if (guesses[at] !== null || (heading !== null && bare(heading[at] ?? '') !== '')) continue;
    const column = seenIn(stuffOf(rows, at));
    if (column !== null && !has(column)) guesses[at] = { column, certainty: 'seen' };
  }
  const hasName = (['name', 'familyGiven', 'given', 'family'] as const).some(has);
  for (let at = 0; at < width - 1 && !hasName && heading === null; at += 1) {
    if (!inTwo(rows, guesses, at)) continue;
    guesses[at] = { column: 'given', certainty: 'seen' };
    guesses[at + 1] = { column: 'family', certainty: 'seen' };
    break;
  }
  return guesses.map((one) => one ?? { column: 'ignored', certainty: 'seen' });
}
