/** How a cell of a list is tidied, and what makes two words the same. */

/** Spaces of every kind become one, signs that nobody sees go, and so do spaces at the ends. */
export function tidy(cell: string): string {
  return UNTIDY.test(cell) ? tidied(cell) : cell;
}

/** Most cells are tidy as they are, and there are many. */
const UNTIDY = /^ | $| {2}|[^\S ]|[\u200b-\u200f\u2060\u061c\u2066-\u2069\u202a-\u202e\ufeff\u00ad\u0000]/;

function tidied(cell: string): string {
  return cell
    .replaceAll(/[\u200b-\u200f\u2060\u061c\u2066-\u2069\u202a-\u202e\ufeff\u00ad\u0000]/g, '')
    .replaceAll(/[\s\u00a0]+/g, ' ')
    .trim();
}

/** As headings and roles are compared: without accents, case and points. */
export function bare(words: string): string {
  return tidy(words)
    .normalize('NFKD')
    .replaceAll(/[\p{M}\u0640]/gu, '')
    .replaceAll(/[أإآ]/g, 'ا')
    .toLowerCase()
    .replaceAll(/[._\-/:#*()[\]"'’]+/g, ' ')
    .replaceAll(/\s+/g, ' ')
    .trim();
}

/** Names are alike if their words are, in any order (NFKC, case folded). */
export function nameKey(name: string): string {
  return (PLAIN.test(name) ? name : name.normalize('NFKC'))
    .toLowerCase()
    .split(/[\s,]+/)
    .filter((word) => word !== '')
    .sort()
    .join(' ');
}

/** Latin letters and what is written of them without composing: normal as they are, and there are many. */
const PLAIN = /^[ -~]*$/;
