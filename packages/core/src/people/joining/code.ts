/** The code by which somebody joins: read out, copied by hand, typed on a phone. */

/** Digits and letters of which none is taken for another (Crockford's base 32). */
export const CODE_LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
/** Fifty bits: nobody comes upon one by trying. */
export const CODE_LENGTH = 10;

/**
 * @param length how many letters such a code has
 * @returns the code as it is kept, whatever spaces, case and look-alikes it was typed with; null: it can be none
 */
export function readCode(typed: string, length = CODE_LENGTH): string | null {
  const code = typed
    .normalize('NFKC')
    .toUpperCase()
    .replaceAll(/[\s\u002d\u2010-\u2015._]/g, '')
    .replaceAll(/[IL]/g, '1')
    .replaceAll('O', '0');
  const isCode = code.length === length && [...code].every((letter) => CODE_LETTERS.includes(letter));
  return isCode ? code : null;
}

/** In two halves, as it is shown and read out. */
export const showCode = (code: string): string =>
  `${code.slice(0, CODE_LENGTH / 2)}-${code.slice(CODE_LENGTH / 2)}`;

/** @param bytes as many as it has letters, at random */
export const codeOf = (bytes: Uint8Array): string =>
  [...bytes].map((byte) => CODE_LETTERS[byte % CODE_LETTERS.length] ?? '').join('');
