/** A browser as somebody knows it, by what it says of itself: its family, and what it runs on. */

/** The first that is found: each says that it is some of those below it too. */
const FAMILIES: readonly (readonly [RegExp, string])[] = [
  [/Edg(e|A|iOS)?\//, 'Edge'],
  [/OPR\/|Opera/, 'Opera'],
  [/Firefox\/|FxiOS\//, 'Firefox'],
  [/Chrom(e|ium)\/|CriOS\//, 'Chrome'],
  [/Safari\//, 'Safari'],
];
const GROUNDS: readonly (readonly [RegExp, string])[] = [
  [/iPhone|iPad/, 'iOS'],
  [/Android/, 'Android'],
  [/Windows/, 'Windows'],
  [/Mac OS X/, 'macOS'],
  [/CrOS/, 'ChromeOS'],
  [/Linux/, 'Linux'],
];

const firstIn = (table: readonly (readonly [RegExp, string])[], text: string): string | null =>
  table.find(([sign]) => sign.test(text))?.[1] ?? null;

/** @returns null: it does not say */
export function browserName(says: string): string | null {
  const parts = [firstIn(FAMILIES, says), firstIn(GROUNDS, says)].filter((part) => part !== null);
  return parts.length === 0 ? null : parts.join(', ');
}
