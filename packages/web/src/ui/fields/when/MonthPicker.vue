<script setup lang="ts">
/** A month to pick a day from. Where it stands in a course, it shows the course's weeks, pauses and last day. */
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VBtn } from 'vuetify/components/VBtn';
import { VDatePicker } from 'vuetify/components/VDatePicker';
import { formatDay } from '../../../words/dates.ts';
import { useCourseDays } from './day-context.ts';
import type { DayMark } from './day-context.ts';

const props = defineProps<{ day: string | null }>();
const emit = defineEmits<{ pick: [day: string] }>();
const { t, locale } = useI18n();
const days = useCourseDays();

/** The library counts in the browser's own clock: noon there is the same day everywhere. */
const asDate = (day: string): Date => new Date(`${day}T12:00:00`);
const two = (value: number): string => String(value).padStart(2, '0');
const asDay = (date: Date): string =>
  `${String(date.getFullYear()).padStart(4, '0')}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;

const shown = computed(() => asDate(props.day ?? days().first ?? days().today));
const month = ref(shown.value.getMonth());
const year = ref(shown.value.getFullYear());
watch(shown, (now) => {
  month.value = now.getMonth();
  year.value = now.getFullYear();
});

const markOf = (iso: string): DayMark | null => days().markOf(iso);
const nameOf = (iso: string): string =>
  [formatDay(iso, locale.value, { today: '0000' }), markOf(iso)?.words].filter(Boolean).join(', ');
/** What the marks of the month mean, in the order of its days. */
const legend = computed(() => {
  const seen = new Map<string, DayMark>();
  for (let date = 1; date <= 31; date += 1) {
    const at = new Date(year.value, month.value, date, 12);
    const mark = at.getMonth() === month.value ? markOf(asDay(at)) : null;
    if (mark !== null) seen.set(`${mark.kind} ${mark.words}`, mark);
  }
  return [...seen.values()];
});
</script>

<template>
  <div class="month">
    <VDatePicker
      v-model:month="month"
      v-model:year="year"
      :model-value="day === null ? undefined : asDate(day)"
      :first-day-of-week="days().weekStart % 7"
      color="primary"
      hide-header
      show-adjacent-months
      :aria-label="t('common.pickDay')"
      @update:model-value="$event && emit('pick', asDay($event as unknown as Date))"
    >
      <template #day="{ props: button, item }">
        <VBtn v-bind="button" :class="['day', markOf(item.isoDate)?.kind]" :aria-label="nameOf(item.isoDate)">
          {{ item.localized }}
        </VBtn>
      </template>
    </VDatePicker>
    <ul v-if="legend.length > 0" class="legend">
      <li v-for="mark in legend" :key="mark.words" :class="mark.kind">{{ mark.words }}</li>
    </ul>
  </div>
</template>

<style scoped>
.month {
  border: 1px solid var(--field-rule);
  border-top: 3px solid var(--route);
  border-radius: 8px;
  background: var(--card);
}

.day.v-btn--variant-flat {
  color: var(--on-bottle);
}

.day {
  border-radius: 6px;
  font-family: var(--font-figures);
}

/* A week begins at a line, a pause is grey, the last day is the end of the line. */
.day.week {
  box-shadow: inset 2px 0 0 var(--route);
}

[dir='rtl'] .day.week {
  box-shadow: inset -2px 0 0 var(--route);
}

.day.pause {
  background: var(--mist);
  color: var(--ink-soft);
}

.day.last {
  box-shadow: inset 0 -3px 0 var(--route);
}

.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  max-width: 328px;
  margin: 0;
  padding: 6px 16px 12px;
  border-top: 1px solid var(--rule);
  color: var(--ink-soft);
  font-size: 12.5px;
  list-style: none;
}

.legend li {
  padding-inline-start: 8px;
  border-inline-start: 3px solid var(--route);
}

.legend .pause {
  border-color: var(--field-rule);
}

.legend .last {
  padding: 0;
  border: 0;
  border-bottom: 3px solid var(--route);
}
</style>
