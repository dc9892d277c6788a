/** A number as it is answered: its sign, digits of one script, a decimal sign, a power of ten, and a unit. */
import { withoutUnseen } from './folding.ts';
import { scaled } from './rational.ts';
import type { Rational } from './rational.ts';

export type AnswerLanguage = 'en' | 'es' | 'fr' | 'ar';

export interface NumberAnswer {
  readonly value: Rational;
  /** As it stands there, by NFKC; empty: none. */
  readonly unit: string;
}

const MOST_DIGITS = 40;
const MOST_POWER = 40;
/** Always the point; a comma where the language in which the question was read has it. */
const DECIMAL_SIGNS: Readonly<Record<AnswerLanguage, string>> = { en: '.', es: '.,', fr: '.,', ar: '.,٫' };

const isDigit = (at: number): boolean => /\p{Nd}/u.test(String.fromCodePoint(at));

/** Beyond it Unicode has no digits. */
const LAST = 0x2_0000;
/** Of each script's decimal digits, the nought: they stand in tens, one beside the other. */
function allNoughts(): readonly number[] {
  const found: number[] = [];
  let before = 0;
  for (let at = 0; at < LAST; at += 1) {
    if (!isDigit(at)) before = 0;
    else {
      if (before % 10 === 0) found.push(at);
      before += 1;
    }
  }
  return found;
}
let noughts: readonly number[] | null = null;
function noughtOf(sign: number): number | null {
  noughts ??= allNoughts();
  return noughts.find((nought) => sign >= nought && sign < nought + 10) ?? null;
}

/** In the digits of one script. Null: they are not, or there are too many. */
function plainDigits(text: string): string | null {
  const signs = Array.from(text, (sign) => sign.codePointAt(0) ?? 0);
  const [first] = signs;
  const nought = first === undefined ? null : noughtOf(first);
  if (nought === null) return null;
  const digits = signs.map((sign) => sign - nought);
  return digits.every((digit) => digit >= 0 && digit < 10) ? digits.join('') : null;
}

const SHAPE =
  /^([+\-\u2212]?)(\p{Nd}*)(?:([.,٫])(\p{Nd}*))?(?:[eE]([+\-\u2212]?)(\p{Nd}+))?(?:\p{White_Space}?(\P{White_Space}.*))?$/su;

/** As most of them are: nothing but digits and a point. */
const PLAIN = /^(-?)(\d{1,15})(?:\.(\d{1,15}))?$/;

/** @returns null: it is no number in that language */
export function readNumberAnswer(text: string, language: AnswerLanguage): NumberAnswer | null {
  const plain = PLAIN.exec(text);
  if (plain !== null) {
    const [, sign = '', whole = '', part = ''] = plain;
    return { value: scaled(BigInt(sign + whole + part), -part.length), unit: '' };
  }
  const seen = withoutUnseen(text).replaceAll(/^\p{White_Space}+|\p{White_Space}+$/gu, '');
  const found = SHAPE.exec(seen);
  if (found === null) return null;
  const [, sign = '', whole = '', point, part = '', powerSign = '', power, unit = ''] = found;
  if (point !== undefined && !DECIMAL_SIGNS[language].includes(point)) return null;
  // What could go on as a number is none: signs for thousands, a second decimal sign.
  if (/^[.,٫'’\p{Nd}]/u.test(unit)) return null;
  const written = whole + part;
  if (written === '' || Array.from(written).length > MOST_DIGITS) return null;
  const digits = plainDigits(written + (power ?? ''));
  if (digits === null) return null;
  const length = Array.from(written).length;
  const tens = power === undefined ? 0 : Number(digits.slice(length)) * (isMinus(powerSign) ? -1 : 1);
  if (Math.abs(tens) > MOST_POWER) return null;
  const value = BigInt(digits.slice(0, length)) * (isMinus(sign) ? -1n : 1n);
  return { value: scaled(value, tens - Array.from(part).length), unit: unit.normalize('NFKC') };
}

const isMinus = (sign: string): boolean => sign === '-' || sign === '\u2212';
