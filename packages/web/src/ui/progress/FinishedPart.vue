<script setup lang="ts">
/** What whoever has done the course is told: since when, the instructors' words, and where to go on. */
import { IconCheck } from '@tabler/icons-vue';
import type { FinishedView } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { dayIn, formatDay } from '../../words/dates.ts';

/** `isLink`: false in previews, where nothing has an address. */
const props = defineProps<{ finished: FinishedView; zone: string; today: string; isLink: boolean }>();
const { t, locale } = useI18n();
const day = computed(() =>
  formatDay(dayIn(props.finished.since ?? '', props.zone), locale.value, { today: props.today }),
);
</script>

<template>
  <div v-if="finished.since !== null" class="finished">
    <p class="all-done">
      <IconCheck :size="20" aria-hidden="true" /> {{ t('learner.progress.since', { day }) }}
    </p>
    <p v-if="finished.words !== null" class="words" dir="auto">{{ finished.words }}</p>
    <p v-if="finished.goOn !== null" class="go-on">
      {{ t('learner.progress.goOn') }}
      <RouterLink v-if="isLink" :to="`/courses/${finished.goOn.course}`" dir="auto">{{
        finished.goOn.title
      }}</RouterLink>
      <span v-else dir="auto">{{ finished.goOn.title }}</span>
    </p>
  </div>
</template>

<style scoped>
.finished {
  display: grid;
  gap: 8px;
  overflow-wrap: anywhere;
}

.all-done {
  display: flex;
  gap: 6px;
  align-items: center;
  color: var(--open);
  font-family: var(--font-heading);
  font-size: 19px;
}
</style>
