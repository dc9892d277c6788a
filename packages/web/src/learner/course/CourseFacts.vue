<script setup lang="ts">
/** What a course is: its description, its days, who teaches it. */
import type { CourseView } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { formatDay, formatDays } from '../../words/dates.ts';
import RichText from '../text/RichText.vue';

defineProps<{
  course: CourseView;
  today: string;
  descriptionHtml: string | null;
  staff: readonly string[];
}>();
const { t, locale } = useI18n();
</script>

<template>
  <RichText v-if="descriptionHtml" :html="descriptionHtml" />
  <dl>
    <template v-if="course.firstDay && course.lastDay">
      <dt>{{ t('learner.runs') }}</dt>
      <dd class="figures">{{ formatDays(course.firstDay, course.lastDay, locale, today) }}</dd>
      <dd v-if="course.lastTime" class="soft">{{ t('learner.lastTime', { time: course.lastTime }) }}</dd>
    </template>
    <template v-if="course.event">
      <dt>{{ t('learner.kinds.meeting') }}</dt>
      <dd class="figures">
        {{
          t('learner.event', { day: formatDay(course.event.day, locale, { today }), time: course.event.time })
        }}
      </dd>
      <dd v-if="course.event.place">{{ course.event.place }}</dd>
    </template>
    <template v-if="staff.length > 0">
      <dt>{{ t('learner.taughtBy') }}</dt>
      <dd v-for="name in staff" :key="name">{{ name }}</dd>
    </template>
    <dt>{{ t('learner.code') }}</dt>
    <dd class="figures">{{ course.code }}</dd>
  </dl>
</template>

<style scoped>
dl {
  margin: 0;
}

dt {
  margin-top: 10px;
  color: var(--ink-soft);
  font-size: 12.5px;
}

dd {
  margin: 0;
}
</style>
