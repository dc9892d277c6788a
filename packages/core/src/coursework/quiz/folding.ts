/** When two short answers are the same (docs/semantics.md, Work). */

export interface Folds {
  /** Large and small letters are the same. */
  readonly case: boolean;
  /** Letters with and without accents are the same. */
  readonly accents: boolean;
}

/** Soft hyphens, word joiners, byte-order and direction marks: nobody sees them. */
const UNSEEN = /[\u00ad\u2060\ufeff\u200e\u200f\u061c\u202a-\u202e\u2066-\u2069]/g;
const APOSTROPHES = /[\u0060\u00b4\u02bb\u02bc\u2018\u2019\u201b\uff07]/g;
const HYPHENS = /[\u2010-\u2013\u2212\ufe63\uff0d]/g;
/** What NFD leaves of accents: Latin, Greek and Cyrillic, Hebrew points, Arabic vowels. Kana and Indic signs are letters. */
const ACCENTS = /[\u0300-\u036f\u0610-\u061a\u064b-\u065f\u0670]|(?=\p{M})[\u0591-\u05c7]/gu;

export const withoutUnseen = (text: string): string => text.replaceAll(UNSEEN, '');

/**
 * Unicode's full case folding, without a language: sign by sign, so that no sign's neighbours say what it becomes. The i
 * without a dot is a letter of its own.
 */
function folded(text: string): string {
  return Array.from(text, (sign) =>
    sign === 'ı' ? sign : sign.toLowerCase().toUpperCase().toLowerCase().replaceAll('ς', 'σ'),
  ).join('');
}

export function likened(text: string, folds: Folds): string {
  const plain = withoutUnseen(text)
    .replaceAll(APOSTROPHES, "'")
    .replaceAll(HYPHENS, '-')
    .normalize('NFKC')
    .replaceAll(/\p{White_Space}+/gu, ' ')
    .replaceAll(/^ | $/g, '');
  const inCase = folds.case ? folded(plain) : plain;
  return (folds.accents ? inCase.normalize('NFD').replaceAll(ACCENTS, '') : inCase).normalize('NFC');
}
