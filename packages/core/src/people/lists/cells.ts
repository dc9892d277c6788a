/** A text as rows of cells: which sign parts them, and what is quoted. The parsing itself is the library's. */
import Papa from 'papaparse';
import { tidy } from './words.ts';

/** Rows of the text with its line, tidied; rows of nothing are left out. */
export interface Grid {
  readonly rows: readonly GridRow[];
  readonly delimiter: string;
}
export interface GridRow {
  /** Of the text, from 1. */
  readonly line: number;
  readonly cells: readonly string[];
}

/** In the order in which they are believed, where two part a text equally well. */
export const DELIMITERS = ['\t', ';', ',', '|'] as const;
/** Enough to see how a list is made. */
const LOOKED_AT = 200;
/** What some spreadsheets write into the first line for their own kind. */
const SAYS = /^sep=(.)\r?\n/i;

/**
 * @param first the line at which the text begins
 * @param preview no more rows than these; nought: all
 */
function parse(text: string, delimiter: string, first = 1, preview = 0): readonly GridRow[] {
  const { data } = Papa.parse<string[]>(text, { delimiter, preview, newline: '\n', skipEmptyLines: false });
  // A line that breaks within quotes is one row: each is told at which line it begins.
  const mayBreak = text.includes('"');
  const rows: GridRow[] = [];
  let line = first;
  for (const found of data) {
    const breaks = mayBreak ? breaksIn(found) : 0;
    if (tidyAll(found)) rows.push({ line, cells: found });
    line += 1 + breaks;
  }
  return rows;
}

const breaksIn = (cells: readonly string[]): number =>
  cells.reduce((sum, cell) => sum + cell.split('\n').length - 1, 0);

/** In place, since there are many. @returns whether anything stands in the row. */
function tidyAll(cells: string[]): boolean {
  let isFilled = false;
  for (let at = 0; at < cells.length; at += 1) {
    const cell = cells[at] as string;
    if (cell === '') continue;
    const tidied = tidy(cell);
    if (tidied !== cell) cells[at] = tidied;
    if (tidied !== '') isFilled = true;
  }
  return isFilled;
}

/** The first lines of a text; all of it, where a row may go over several. */
function beginning(text: string): string {
  if (text.includes('"')) return text;
  let end = -1;
  for (let lines = 0; lines < LOOKED_AT; lines += 1) {
    end = text.indexOf('\n', end + 1);
    if (end === -1) return text;
  }
  return text.slice(0, end);
}

/** The number of cells that most rows have. */
export function usualWidth(rows: readonly GridRow[]): number {
  const counts = new Map<number, number>();
  for (const { cells } of rows) counts.set(cells.length, (counts.get(cells.length) ?? 0) + 1);
  return [...counts].reduce((best, one) => (one[1] > best[1] ? one : best), [0, 0])[0];
}

/** How well a sign parts a text: the share of rows that have as many cells as most do; nought where most have one. */
function fit(rows: readonly GridRow[]): number {
  const width = usualWidth(rows);
  if (width < 2) return 0;
  return rows.filter(({ cells }) => cells.length === width).length / rows.length;
}

/** A little worse and believed first is better than a little better: a comma stands in names, a tab in none. */
const MARGIN = 0.1;

export function gridOf(text: string): Grid {
  const said = SAYS.exec(text);
  const body = said === null ? text : text.slice(said[0].length);
  const looked = beginning(body);
  let best: { readonly delimiter: string; readonly fit: number } = { delimiter: ',', fit: 0 };
  for (const delimiter of said?.[1] === undefined ? DELIMITERS : [said[1]]) {
    const found = fit(parse(looked, delimiter, 1, LOOKED_AT));
    if (found > best.fit + MARGIN) best = { delimiter, fit: found };
  }
  const { delimiter } = best;
  return { rows: parse(body, delimiter, said === null ? 1 : 2), delimiter };
}
