/** What the days of the course that is set up are, for whoever picks one. */
import { addDays } from '@itinerary/core';
import { computed } from 'vue';
import type { ComputedRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import type { CourseDays, DayMark } from '../../ui/fields/when/day-context.ts';
import { plannedTitle } from '../node-title.ts';

export function courseDays(): ComputedRef<CourseDays> {
  const plan = usePlan();
  const session = useSession();
  const { t, locale } = useI18n();
  const marks = computed(() => {
    const found = new Map<string, DayMark>();
    const { planned } = plan;
    if (planned === null) return found;
    for (const section of planned.sections) {
      if (section.span.kind !== 'slot') continue;
      const words = plannedTitle(section, t, locale.value);
      found.set(section.span.slot.first, { kind: 'week', words });
    }
    for (const row of planned.rows) {
      if (row.kind !== 'pause') continue;
      for (let day = row.pause.first; day <= row.pause.last; day = addDays(day, 1))
        found.set(day, { kind: 'pause', words: row.pause.name });
    }
    if (planned.lastDay !== null)
      found.set(planned.lastDay, { kind: 'last', words: t('setup.dates.lastDay') });
    return found;
  });
  return computed(() => ({
    today: session.today,
    first: plan.planned?.firstDay ?? null,
    weekStart: plan.course?.dates.weekStart ?? 1,
    markOf: (day) => marks.value.get(day) ?? null,
  }));
}
