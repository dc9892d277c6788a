/** The part that plays then; null: none has begun. @param seconds into the film */
export const chapterAt = <One extends { readonly at: number }>(
  chapters: readonly One[],
  seconds: number,
): One | null => chapters.findLast(({ at }) => at <= seconds) ?? null;
