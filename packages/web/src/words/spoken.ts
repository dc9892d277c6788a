/** Languages in which captions are offered, by their tags. */
export const SPOKEN = [
  ...[
    'ar',
    'ca',
    'cs',
    'cy',
    'da',
    'de',
    'el',
    'en',
    'es',
    'et',
    'eu',
    'fa',
    'fi',
    'fr',
    'ga',
    'gl',
    'he',
    'hi',
  ],
  ...[
    'hr',
    'hu',
    'id',
    'is',
    'it',
    'ja',
    'ko',
    'lt',
    'lv',
    'nl',
    'no',
    'pl',
    'pt',
    'ro',
    'ru',
    'sk',
    'sl',
    'sr',
  ],
  ...['sv', 'sw', 'tr', 'uk', 'ur', 'vi', 'zh'],
] as const;

/** In the reader's language; the tag itself where the browser knows no name for it. */
export function languageName(tag: string, locale: string): string {
  try {
    return new Intl.DisplayNames([locale], { type: 'language' }).of(tag) ?? tag;
  } catch {
    return tag;
  }
}
