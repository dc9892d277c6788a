/** What is no class list, and is refused before it is read: longer, wider or larger than any. */
import { DELIMITERS } from './cells.ts';

/** More people than any course has; also what a request takes. */
export const MAX_LIST_ROWS = 20_000;
export const MAX_LIST_COLUMNS = 100;
/** So that each row of the longest list may hold as much as anybody writes of a person. */
export const MAX_LIST_LENGTH = 8_000_000;

export type ListRefusal =
  | { readonly code: 'too_long'; readonly characters: number; readonly most: number }
  | { readonly code: 'too_many_rows'; readonly rows: number; readonly most: number }
  /** Of the first line that has more. */
  | {
      readonly code: 'too_many_columns';
      readonly line: number;
      readonly columns: number;
      readonly most: number;
    };

function signsIn(line: string): number {
  return Math.max(...DELIMITERS.map((sign) => line.split(sign).length));
}

/** @returns null: it can be read. Lines of nothing are rows too, since somebody would have to look through them. */
export function refuseList(text: string): ListRefusal | null {
  if (text.length > MAX_LIST_LENGTH) {
    return { code: 'too_long', characters: text.length, most: MAX_LIST_LENGTH };
  }
  const lines = text.split(/\r\n?|\n/);
  if (lines.length > MAX_LIST_ROWS) return { code: 'too_many_rows', rows: lines.length, most: MAX_LIST_ROWS };
  // Addresses stand beside one another in one line, as many as there are people.
  const isTable = (line: string): boolean =>
    !line.includes('@') || line.split('@').length < MAX_LIST_COLUMNS / 2;
  const at = lines.findIndex((line) => isTable(line) && signsIn(line) > MAX_LIST_COLUMNS);
  return at === -1
    ? null
    : {
        code: 'too_many_columns',
        line: at + 1,
        columns: signsIn(lines[at] ?? ''),
        most: MAX_LIST_COLUMNS,
      };
}
