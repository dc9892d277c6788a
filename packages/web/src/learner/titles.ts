/** A section's title: the one typed, or one that follows its days. */
import { formatLongDay } from '../app/dates.ts';

interface Titled {
  readonly title: string | null;
  readonly days: { readonly first: string } | null;
}

type Translate = (key: string, values?: Record<string, unknown>) => string;

export function sectionTitle(section: Titled, t: Translate, locale: string): string {
  if (section.title !== null) return section.title;
  if (section.days !== null) return t('learner.weekOf', { day: formatLongDay(section.days.first, locale) });
  return t('learner.untitled');
}
