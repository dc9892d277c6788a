<script setup lang="ts">
/** The week that is on, day by day. */
import type { AheadView, WeekView } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { formatDay, weekdayName } from '../../words/dates.ts';

defineProps<{ week: WeekView; today: string }>();
const { t, locale } = useI18n();
const nameOf = (thing: AheadView): string =>
  thing.title ?? t('learner.sectionOf', { number: thing.number ?? '' });
const weekdayOf = (day: string): number => ((new Date(`${day}T12:00:00Z`).getUTCDay() + 6) % 7) + 1;
</script>

<template>
  <ol>
    <li
      v-for="{ day, events } in week.days"
      :key="day"
      :class="{ today: day === today, bare: events.length === 0 }"
    >
      <span class="day figures" :title="weekdayName(weekdayOf(day), locale)">{{
        formatDay(day, locale, { today })
      }}</span>
      <ul v-if="events.length > 0">
        <li v-for="event in events" :key="`${event.what} ${event.id}`" :class="event.what">
          <span class="figures soft">{{ event.moment.time ?? '' }}</span>
          {{ t(`learner.ahead.${event.what}Short`, { title: nameOf(event) }) }}
        </li>
      </ul>
      <span v-else class="soft" aria-hidden="true">·</span>
    </li>
  </ol>
</template>

<style scoped>
ol,
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

ol > li {
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr);
  gap: 8px;
  padding: 4px 6px;
  border-bottom: 1px solid var(--rule);
  border-inline-start: 3px solid transparent;
}

.today {
  border-inline-start-color: var(--route);
  background: var(--mist);
}

.day {
  font-size: 13px;
}

.bare .day {
  color: var(--ink-soft);
}
</style>
