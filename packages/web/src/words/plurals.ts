/** How numbers bend sentences, language by language. */

/** CLDR's plural categories, in the order in which Arabic sentences have them. */
const CATEGORIES = ['zero', 'one', 'two', 'few', 'many', 'other'] as const;
const arabic = new Intl.PluralRules('ar');

/**
 * Which form of a sentence a number takes. Sentences have two forms (one, more), or three with one for none;
 * Arabic has five or six, by CLDR. In French none is as one.
 */
export const PLURALS: Readonly<Record<string, (count: number, forms: number) => number>> = {
  ar: (count, forms) => {
    const at = CATEGORIES.indexOf(arabic.select(count) as (typeof CATEGORIES)[number]);
    if (forms === 6) return at;
    if (forms === 5) return at === 0 ? 4 : at - 1;
    return forms === 3 ? Math.min(count, 2) : count === 1 ? 0 : 1;
  },
  fr: (count, forms) => (forms === 3 ? Math.min(count, 2) : count < 2 ? 0 : 1),
};
