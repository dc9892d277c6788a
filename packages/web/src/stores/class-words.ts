/** A class of the registry in a line: its course, how many are in it, who teaches it, its term. */
import type { RegistryClass } from '@itinerary/contract';
import { useI18n } from 'vue-i18n';
import { useSession } from './session.ts';
import { formatDay } from '../words/dates.ts';

export function useClassWords(): (one: RegistryClass) => string {
  const { t, locale } = useI18n();
  const session = useSession();
  const day = (iso: string): string => formatDay(iso, locale.value, { today: session.today });
  /** That one teaches it oneself is known. */
  const taught = (teachers: readonly string[]): string | null => {
    if (teachers.length === 0) return t('common.registry.nobodyTeaches');
    const isMine = teachers.length === 1 && teachers[0] === session.me?.person?.name;
    return isMine ? null : t('common.registry.taughtBy', { names: teachers.join(', ') });
  };
  return ({ courseTitle, learners, teachers, term }) =>
    [
      courseTitle,
      t('common.registry.learners', learners),
      taught(teachers),
      term === null
        ? null
        : t('common.registry.term', { term: term.title, first: day(term.firstDay), last: day(term.lastDay) }),
    ]
      .filter((part) => part !== null)
      .join(' · ');
}
