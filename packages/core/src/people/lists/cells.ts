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

function parse(text: string, delimiter: string, preview = 0): readonly GridRow[] {
  const { data } = Papa.parse<string[]>(text, { delimiter, preview, newline: '\n', skipEmptyLines: false });
  // A line that breaks within quotes is one row: each is told at which line it begins.
  const mayBreak = text.includes('"');
  const rows: GridRow[] = [];
  let line = 1;
  for (const found of data) {
    const cells = found.map(tidy);
    if (cells.some((cell) => cell !== '')) rows.push({ line, cells });
    line += 1;
    if (mayBreak) for (const cell of found) line += cell.split('\n').length - 1;
  }
  return rows;
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
  let best: { readonly delimiter: string; readonly fit: number } = { delimiter: ',', fit: 0 };
  for (const delimiter of said?.[1] === undefined ? DELIMITERS : [said[1]]) {
    const found = fit(parse(body, delimiter, LOOKED_AT));
    if (found > best.fit + MARGIN) best = { delimiter, fit: found };
  }
  const offset = said === null ? 0 : 1;
  const { delimiter } = best;
  const rows = parse(body, delimiter).map(({ line, cells }) => ({ line: line + offset, cells }));
  return { rows, delimiter };
}
