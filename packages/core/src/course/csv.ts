/** Lines of cells as CSV (RFC 4180), safe to open in a spreadsheet. */

export type CsvCell = string | number | null;

/** Quoted where it has to be; words that a table would take for a formula are marked as text. */
function written(value: CsvCell): string {
  const text = value === null ? '' : String(value);
  const safe = /^[=+\-@\t\r]/.test(text) ? `'${text}` : text;
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
}

/** @returns lines that end in CR LF */
export function csvOf(lines: readonly (readonly CsvCell[])[]): string {
  return lines.map((line) => `${line.map(written).join(',')}\r\n`).join('');
}
