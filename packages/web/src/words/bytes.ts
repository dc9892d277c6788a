import { intlLocale } from './intl.ts';

/** "1.2 MB": a size as people read it, in powers of a thousand. */
export function formatBytes(bytes: number, locale: string): string {
  const units = ['byte', 'kilobyte', 'megabyte', 'gigabyte'] as const;
  const power = Math.min(units.length - 1, bytes < 1000 ? 0 : Math.floor(Math.log10(bytes) / 3));
  const value = bytes / 1000 ** power;
  return new Intl.NumberFormat(intlLocale(locale), {
    style: 'unit',
    unit: units[power] ?? 'byte',
    // The short form of bytes is "byte", however many there are.
    unitDisplay: power === 0 ? 'long' : 'short',
    maximumFractionDigits: value < 10 && power > 0 ? 1 : 0,
  }).format(value);
}
