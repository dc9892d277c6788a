/** How a language of the interface is asked of `Intl`. */

/**
 * British order and names for English, so that it reads "Mon 18 Jan"; Western digits for Arabic, since codes,
 * times and numbers of sections are written in them everywhere.
 */
export function intlLocale(locale: string): string {
  if (locale === 'en') return 'en-GB';
  return locale === 'ar' ? 'ar-u-nu-latn' : locale;
}

export function formatNumber(value: number, locale: string, options: Intl.NumberFormatOptions = {}): string {
  return new Intl.NumberFormat(intlLocale(locale), options).format(value);
}

/** An amount of money as it is read. @param amount in the smallest unit of the currency (ISO 4217) */
export function formatAmount(amount: number, currency: string, locale: string): string {
  const written = new Intl.NumberFormat(intlLocale(locale), { style: 'currency', currency });
  return written.format(amount / 10 ** (written.resolvedOptions().maximumFractionDigits ?? 2));
}
