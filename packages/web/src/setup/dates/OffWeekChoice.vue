<script setup lang="ts">
/** A first day in mid-week: what each way of taking it makes of the first two weeks. */
import { nearestWeekday, planSections, setDates, weekdayOf } from '@itinerary/core';
import type { Edit } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDay, formatDays, weekdayName } from '../../words/dates.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import ChoiceTiles from '../../ui/fields/choice/ChoiceTiles.vue';

defineProps<{ readonly: boolean }>();
const emit = defineEmits<{ propose: [edits: readonly Edit[]] }>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
const course = computed(() => plan.course!);
const dates = computed(() => course.value.dates);
const firstDay = computed(() => dates.value.firstDay ?? '');
const moved = computed(() => nearestWeekday(firstDay.value, dates.value.weekStart));

type Way = 'falls' | 'short' | 'move';

const firstWeeks = (way: Way): string => {
  const { slots } = planSections({ ...course.value, dates: { ...dates.value, offWeek: way } });
  return slots
    .slice(0, 2)
    .map(({ number, first, last }) =>
      t('setup.dates.weekDays', { number, days: formatDays(first, last, locale.value, session.today) }),
    )
    .join(', ');
};
const tiles = computed(() =>
  (['move', 'short', 'falls'] as const).map((value) => ({
    value,
    title: t(`setup.dates.offWeek.${value}`, {
      day: formatDay(moved.value, locale.value, { today: session.today }),
      weekday: weekdayName(weekdayOf(firstDay.value), locale.value),
    }),
    text: firstWeeks(value),
  })),
);

/** Moving is done to the day itself, so that the field shows what counts. */
function choose(way: Way): void {
  const made =
    way === 'move' ? setDates(course.value, 'firstDay', moved.value) : setDates(course.value, 'offWeek', way);
  emit('propose', [made]);
}
</script>

<template>
  <ChoiceTiles
    :key="dates.offWeek"
    :legend="
      t('setup.dates.midWeek', {
        weekday: weekdayName(weekdayOf(firstDay), locale),
        start: weekdayName(dates.weekStart, locale),
      })
    "
    :tiles="tiles"
    :chosen="dates.offWeek"
    :disabled="readonly"
    compact
    @choose="choose"
  />
</template>
