/** An instant in words: "Mon 7 Dec, 14:00", by the course's clocks. */
import { useI18n } from 'vue-i18n';
import { useSession } from './session.ts';
import { dayIn, formatDay, formatTime } from '../words/dates.ts';

export function useMomentWords(): (instant: number, zone: string) => string {
  const { locale } = useI18n();
  const session = useSession();
  return (instant, zone) => {
    const iso = new Date(instant).toISOString();
    return `${formatDay(dayIn(iso, zone), locale.value, { today: session.today })}, ${formatTime(iso, locale.value, zone)}`;
  };
}
