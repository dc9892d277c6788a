<script setup lang="ts">
/** What the public page says of a course to those who are not in it, or not yet. */
import { IconArrowRight } from '@tabler/icons-vue';
import type { CourseView } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { formatNumber } from '../../words/intl.ts';
import ItemSign from '../outline/ItemSign.vue';

defineProps<{
  course: CourseView;
  /** Of its headings. */
  level: number;
}>();
const { t, locale } = useI18n();
</script>

<template>
  <div class="facts">
    <section v-if="course.outcomes.length > 0">
      <component :is="`h${level}`">{{ t('learner.public.outcomes') }}</component>
      <ul>
        <li v-for="outcome in course.outcomes" :key="outcome">
          <IconArrowRight :size="16" aria-hidden="true" /> {{ outcome }}
        </li>
      </ul>
    </section>
    <section v-if="course.madeFor">
      <component :is="`h${level}`">{{ t('learner.public.madeFor') }}</component>
      <p>{{ course.madeFor }}</p>
    </section>
    <section v-if="course.hoursAWeek">
      <component :is="`h${level}`">{{ t('learner.public.length') }}</component>
      <p>{{ t('learner.public.hours', { hours: formatNumber(course.hoursAWeek, locale) }) }}</p>
    </section>
    <section v-if="course.bringAlong">
      <component :is="`h${level}`">{{ t('learner.public.bringAlong') }}</component>
      <p>{{ course.bringAlong }}</p>
    </section>
    <section v-if="course.samples.length > 0">
      <component :is="`h${level}`">{{ t('learner.public.samples') }}</component>
      <ul>
        <li v-for="item in course.samples" :key="item.id">
          <ItemSign :kind="item.kind" />
          <RouterLink :to="`/courses/${course.id}/items/${item.id}`">{{ item.title }}</RouterLink>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.facts {
  display: grid;
  gap: 16px;
  margin-top: 18px;
}

:is(h2, h3) {
  font-size: 16px;
}

ul {
  margin: 4px 0 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 30px;
}

li svg {
  flex: none;
  color: var(--route);
}

p {
  white-space: pre-line;
}
</style>
