/** A section's title: the one typed, or one that follows its days. */
import { formatDay, formatLongDay } from '../../words/dates.ts';

interface Titled {
  readonly title: string | null;
  readonly days: { readonly first: string; readonly last?: string } | null;
  /** Of a section that a meeting makes. */
  readonly meeting?: { readonly day: string } | null;
}

type Translate = (key: string, values?: Record<string, unknown>) => string;

const DAY_MS = 86_400_000;

export function sectionTitle(section: Titled, t: Translate, locale: string): string {
  const { title, days, meeting = null } = section;
  if (title !== null) return title;
  if (meeting !== null) {
    return t('learner.meetingOn', { day: formatDay(meeting.day, locale, { today: meeting.day }) });
  }
  if (days === null) return t('learner.untitled');
  const isLong = days.last !== undefined && Date.parse(days.last) - Date.parse(days.first) >= 7 * DAY_MS;
  const day = formatLongDay(days.first, locale);
  return t(isLong ? 'learner.from' : 'learner.weekOf', { day });
}
