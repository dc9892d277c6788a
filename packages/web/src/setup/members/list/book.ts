/** What comes packed as a text: the first sheet of a spreadsheet that holds anything, or a OneRoster bundle. */
import { BUNDLE_FILES, bundleList, decodeList, MAX_LIST_LENGTH, tableText } from '@itinerary/core/people';
import type { BundleFile } from '@itinerary/core/people';
import { unzipSync } from 'fflate';

export type BookRefusal =
  /** A spreadsheet of the kind before XLSX, or one that is locked. */
  | { readonly code: 'old_book' }
  | { readonly code: 'no_list' }
  | { readonly code: 'broken_book' }
  /** It would unpack to so many bytes. */
  | { readonly code: 'unpacks'; readonly bytes: number; readonly most: number };

export type Opened =
  { readonly ok: true; readonly text: string } | { readonly ok: false; readonly refusal: BookRefusal };

/** So much a list may unpack to: its marks take more room than its words. */
export const MOST_UNPACKED = MAX_LIST_LENGTH * 8;

const begins = (bytes: Uint8Array, ...mark: readonly number[]): boolean =>
  mark.every((byte, at) => bytes[at] === byte);
export const isPacked = (bytes: Uint8Array): boolean =>
  begins(bytes, 0x50, 0x4b, 0x03, 0x04) || begins(bytes, 0xd0, 0xcf, 0x11, 0xe0);

/** A name without the folder that a bundle may be packed with. */
const bareName = (name: string): string => name.slice(name.lastIndexOf('/') + 1).toLowerCase();
const isBundled = (name: string): name is BundleFile => BUNDLE_FILES.some((one) => one === name);

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** A date as a spreadsheet writes it, by which it is known where it should have been an id. */
function cellText(value: unknown): string {
  if (value instanceof Date) {
    return `${value.getUTCDate()}-${MONTHS[value.getUTCMonth()] ?? ''}-${value.getUTCFullYear()}`;
  }
  return value === null || value === undefined ? '' : String(value);
}

/** Nothing is unpacked before it is known how much it says that it unpacks to; and nothing unpacks to more than that. */
export async function openBook(bytes: Uint8Array): Promise<Opened> {
  if (!begins(bytes, 0x50, 0x4b)) return { ok: false, refusal: { code: 'old_book' } };
  const names: string[] = [];
  let unpacked = 0;
  try {
    unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        names.push(name);
        unpacked += originalSize;
        return false;
      },
    });
  } catch {
    return { ok: false, refusal: { code: 'broken_book' } };
  }
  if (unpacked > MOST_UNPACKED) {
    return { ok: false, refusal: { code: 'unpacks', bytes: unpacked, most: MOST_UNPACKED } };
  }
  try {
    const text = names.includes('xl/workbook.xml') ? await sheetText(bytes) : bundleText(bytes);
    return text === null ? { ok: false, refusal: { code: 'no_list' } } : { ok: true, text };
  } catch {
    return { ok: false, refusal: { code: 'broken_book' } };
  }
}

function bundleText(bytes: Uint8Array): string | null {
  const files = unzipSync(bytes, { filter: ({ name }) => isBundled(bareName(name)) });
  return bundleList(
    Object.fromEntries(Object.entries(files).map(([name, file]) => [bareName(name), decodeList(file).text])),
  );
}

async function sheetText(bytes: Uint8Array): Promise<string | null> {
  const { default: readBook } = await import('read-excel-file/universal');
  // Ids are words: a number is taken as it is written.
  const sheets = await readBook(bytes.slice().buffer, { parseNumber: (text: string) => text });
  const filled = sheets.find(({ data }) => data.some((row) => row.some((cell) => cellText(cell) !== '')));
  return filled === undefined ? null : tableText(filled.data.map((row) => row.map(cellText)));
}
