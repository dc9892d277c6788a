/** Where an entry of an ordered table goes that is to come last. */
export function nextPlace(table: Readonly<Record<string, { readonly at: number }>>): number {
  return Math.max(0, ...Object.values(table).map(({ at }) => at)) + 1;
}
