/** When the course opens and closes by its dates, and how that is said by its own clocks. */
import { boundsOf } from '@itinerary/core';
import { computed } from 'vue';
import type { ComputedRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import { dayIn, formatDay, formatTime } from '../../words/dates.ts';

export function useBounds(): {
  readonly bounds: ComputedRef<ReturnType<typeof boundsOf> | null>;
  /** "Mon 1 Mar 00:00". */
  readonly when: (instant: number) => string;
} {
  const { locale } = useI18n();
  const plan = usePlan();
  const session = useSession();
  const bounds = computed(() => (plan.planned === null ? null : boundsOf(plan.planned)));
  function when(instant: number): string {
    const zone = plan.course?.dates.zone ?? 'UTC';
    const iso = new Date(instant).toISOString();
    const day = formatDay(dayIn(iso, zone), locale.value, { today: session.today });
    return `${day} ${formatTime(iso, locale.value, zone)}`;
  }
  return { bounds, when };
}
