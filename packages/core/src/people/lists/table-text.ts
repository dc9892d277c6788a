/** Cells as a text that is read again as those very cells: nothing is marked, nothing is put right. */
export function tableText(rows: readonly (readonly string[])[]): string {
  const cell = (value: string): string =>
    /["\t\r\n]/.test(value) ? `"${value.replaceAll('"', '""')}"` : value;
  return rows.map((row) => row.map(cell).join('\t')).join('\n');
}
