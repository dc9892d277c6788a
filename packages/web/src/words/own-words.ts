/** Words that a course has of its own, in the reader's language where there are any in it. */
import type { RoleName, Words } from '@itinerary/core';

/** In the reader's language; else in any that there is, since its author meant it to be called so. */
export function ownWords(words: Words, locale: string): string | null {
  const own = words[locale as keyof Words];
  return own ?? Object.values(words)[0] ?? null;
}

export type RoleNames = Readonly<Record<string, RoleName>>;

/** What a role is called: as the course has it, else as the language has it. */
export function roleWord(role: string, names: RoleNames, t: (key: string) => string): string {
  return names[role]?.one ?? t(`learner.members.roles.${role}`);
}
