/** Names as a reader looks for them. One collator for all: made for each comparison, as `localeCompare` does, it is most of a long sort. */
const COLLATOR = new Intl.Collator('en');

export const byName = (a: string, b: string): number => COLLATOR.compare(a, b);
