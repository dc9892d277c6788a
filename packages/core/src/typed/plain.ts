/** What is typed, brought to one form: what looks alike to whoever types it is alike. */

const FRACTIONS: Readonly<Record<string, string>> = { '¼': '.25', '½': '.5', '¾': '.75' };
/** Arabic digits, of both kinds, by their place from nought. */
const DIGITS = '٠١٢٣٤٥٦٧٨٩۰۱۲۳۴۵۶۷۸۹';

/**
 * Without accents, case and signs of direction; digits and decimal signs of Arabic as those of the other languages;
 * every kind of space one space, every kind of dash a hyphen.
 */
export function plain(text: string): string {
  return text
    .replaceAll(/[¼½¾]/g, (sign) => FRACTIONS[sign] as string)
    .normalize('NFKD')
    .replaceAll(/[\p{M}\u0640\u200e\u200f\u061c\u2066-\u2069\u202a-\u202e]/gu, '')
    .replaceAll(/[٠-٩۰-۹]/g, (digit) => String(DIGITS.indexOf(digit) % 10))
    .replaceAll('٫', ',')
    .replaceAll('،', ',')
    .replaceAll('ى', 'ي')
    .replaceAll('ة', 'ه')
    .replaceAll(/[’‘ʼ′]/g, "'")
    .replaceAll(/[‐‑‒–—−]/g, '-')
    .replaceAll(/[\s\u00a0\u202f]+/g, ' ')
    .trim()
    .toLowerCase();
}
