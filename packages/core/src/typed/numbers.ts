/** Numbers as they are typed, with the reader's decimal sign (docs/semantics.md, What is typed). */
import { notRead, read } from './reading.ts';
import type { Reading, TypedIn } from './reading.ts';
import { plain } from './plain.ts';

/** The sign before the parts of one. */
export const DECIMAL_SIGN: Readonly<Record<TypedIn, '.' | ','>> = { en: '.', es: ',', fr: ',', ar: '.' };

/** A sign that stands before groups of exactly three digits, and is not the reader's decimal sign. */
function isGrouping(text: string, sign: string, locale: TypedIn): boolean {
  const groups = text.split(sign);
  const [first = '', ...rest] = groups;
  return (
    sign !== DECIMAL_SIGN[locale] &&
    /^[1-9]\d{0,2}$/.test(first) &&
    rest.length > 0 &&
    rest.every((group, at) => (at === rest.length - 1 ? /^\d{3}([.,]\d+)?$/ : /^\d{3}$/).test(group))
  );
}

/** @returns the number that a text is, or null. The other decimal sign is taken where it can be nothing else. */
export function numberIn(text: string, locale: TypedIn): number | null {
  let rest = plain(text);
  // Spaces and apostrophes stand between groups of three, and nowhere else.
  if (/^[+-]?\d{1,3}([ ']\d{3})+([.,]\d+)?$/.test(rest)) rest = rest.replaceAll(/[ ']/g, '');
  for (const sign of ['.', ',']) if (isGrouping(rest, sign, locale)) rest = rest.replaceAll(sign, '');
  return /^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/.test(rest) ? Number(rest.replace(',', '.')) : null;
}

export interface NumberBounds {
  readonly least: number;
  readonly most: number;
  /** Parts of one are taken as well. */
  readonly fractions?: boolean;
}

/** @returns the number within bounds, null for nothing, or which numbers are expected. */
export function readNumber(text: string, bounds: NumberBounds, locale: TypedIn): Reading<number | null> {
  if (plain(text) === '') return read(null);
  const { least, most, fractions = false } = bounds;
  const value = numberIn(text, locale);
  const isRight = value !== null && value >= least && value <= most && (fractions || Number.isInteger(value));
  return isRight ? read(value) : notRead({ code: fractions ? 'number' : 'whole', least, most });
}

/** A number as a field shows it: read again, it is the same number. */
export function writeNumber(value: number, locale: TypedIn): string {
  return String(value).replace('.', DECIMAL_SIGN[locale]);
}
