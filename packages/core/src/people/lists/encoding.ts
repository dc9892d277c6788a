/**
 * The text of a file whose encoding nobody says: with or without a mark, of one or of two bytes a letter. Old
 * spreadsheets write in what their machine was set to, so that what is not UTF-8 is one of the two encodings of
 * Western Europe.
 */

export const LIST_ENCODINGS = ['utf-8', 'utf-16le', 'utf-16be', 'windows-1252', 'iso-8859-15'] as const;
export type ListEncoding = (typeof LIST_ENCODINGS)[number];

const MARKS: readonly (readonly [ListEncoding, readonly number[]])[] = [
  ['utf-8', [0xef, 0xbb, 0xbf]],
  ['utf-16le', [0xff, 0xfe]],
  ['utf-16be', [0xfe, 0xff]],
];

/** Of the first so many bytes it is asked where the empty halves of letters are. */
const LOOKED_AT = 2000;
/** Texts in Latin letters have nearly every second byte empty. */
const OFTEN = 0.4;

function halves(bytes: Uint8Array): ListEncoding | null {
  const empty = [0, 0];
  const most = Math.min(bytes.length, LOOKED_AT);
  for (let at = 0; at < most; at += 1) if (bytes[at] === 0) empty[at % 2] = (empty[at % 2] ?? 0) + 1;
  const [even = 0, odd = 0] = empty;
  if (odd > (most / 2) * OFTEN) return 'utf-16le';
  return even > (most / 2) * OFTEN ? 'utf-16be' : null;
}

/** What Windows-1252 has letters and signs for, and ISO 8859-15 has nothing that anybody writes. */
const isOfWindows = (byte: number): boolean => byte >= 0x80 && byte <= 0x9f;
/** Signs in Windows-1252 (¤ ¦ ¨ ´ ¸ ¼ ½ ¾), letters and the euro in ISO 8859-15 (€ Š š Ž ž Œ œ Ÿ). */
const LETTERS_OF_15 = new Set([0xa4, 0xa6, 0xa8, 0xb4, 0xb8, 0xbc, 0xbd, 0xbe]);
const isLetter = (byte: number | undefined): boolean =>
  byte !== undefined && ((byte >= 0x41 && byte <= 0x5a) || (byte >= 0x61 && byte <= 0x7a) || byte >= 0xc0);

function isUtf8(bytes: Uint8Array): boolean {
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    return true;
  } catch {
    return false;
  }
}

/** @returns which of the encodings that class lists come in these bytes are. */
export function encodingOf(bytes: Uint8Array): ListEncoding {
  const marked = MARKS.find(([, mark]) => mark.every((byte, at) => bytes[at] === byte));
  if (marked !== undefined) return marked[0];
  const wide = halves(bytes);
  if (wide !== null) return wide;
  if (isUtf8(bytes)) return 'utf-8';
  if (bytes.some(isOfWindows)) return 'windows-1252';
  // Between letters, what would be a sign is a letter.
  const within = bytes.some(
    (byte, at) => LETTERS_OF_15.has(byte) && (isLetter(bytes[at - 1]) || isLetter(bytes[at + 1])),
  );
  return within ? 'iso-8859-15' : 'windows-1252';
}

/** From 0x80 on, Windows-1252 as the Encoding Standard has it; not every host's decoder does. */
const WINDOWS = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ';

/** @returns the text, without its mark, and what it was written in. */
export function decodeList(bytes: Uint8Array): { readonly text: string; readonly encoding: ListEncoding } {
  const encoding = encodingOf(bytes);
  const text = new TextDecoder(encoding).decode(bytes);
  return {
    text:
      encoding === 'windows-1252'
        ? text.replaceAll(/[\u0080-\u009f]/g, (sign) => WINDOWS[sign.charCodeAt(0) - 0x80] ?? sign)
        : text,
    encoding,
  };
}
