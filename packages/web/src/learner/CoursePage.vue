<script setup lang="ts">
import { IconRoute } from '@tabler/icons-vue';
import type { ReadCourseAnswer } from '@itinerary/contract';
import type { ItemView, SectionView } from '@itinerary/core';
import { computed, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { path } from '../api/client.ts';
import { dayIn } from '../app/dates.ts';
import { setTitle } from '../app/router.ts';
import { useLive } from '../stores/live.ts';
import { useSession } from '../stores/session.ts';
import AppBar from '../ui/AppBar.vue';
import { itemToCarryOn } from './carry-on.ts';
import CourseFace from './CourseFace.vue';
import { lastRead } from './last-read.ts';
import LoadState from './LoadState.vue';
import { useAnswer } from './use-answer.ts';
import VisitForm from './VisitForm.vue';

const { t } = useI18n();
const route = useRoute();
const router = useRouter();
const session = useSession();
const courseId = computed(() => String(route.params['course']));
const { answer, state, reload, refresh } = useAnswer<ReadCourseAnswer>(
  () => path`/api/learn/${courseId.value}`,
);
useLive(() => void refresh());

const today = computed(() => dayIn(session.now(), answer.value?.course.zone ?? 'UTC'));
const last = computed(() => lastRead(courseId.value));
const carryOn = computed(() =>
  answer.value === null ? null : itemToCarryOn(answer.value.course, last.value),
);
const hrefFor = (item: ItemView): string => `/courses/${courseId.value}/items/${item.id}`;

const sectionHrefFor = ({ id }: SectionView): string => `/courses/${courseId.value}/sections/${id}`;

watch(answer, (got) => {
  if (got !== null) setTitle(got.course.title);
});
</script>

<template>
  <AppBar>
    <template #end>
      <RouterLink v-if="answer?.mayPlan" class="button small" :to="`/setup/${courseId}/outline`">
        <IconRoute :size="17" aria-hidden="true" /> {{ t('learner.toSetup') }}
      </RouterLink>
    </template>
  </AppBar>
  <main v-if="answer !== null && state === 'there'" id="main" class="page">
    <CourseFace
      :course="answer.course"
      :today="today"
      :description-html="answer.descriptionHtml"
      :introduction-html="answer.introductionHtml"
      :around-html="answer.aroundHtml"
      :staff="answer.staff"
      :is-member="answer.isMember"
      :carry-on="carryOn"
      :has-begun="last !== null && carryOn?.id === last"
      :href-for="hrefFor"
      :section-href-for="sectionHrefFor"
      :level="1"
      @open="router.push(hrefFor($event))"
      @section="router.push(sectionHrefFor($event))"
    >
      <template #visit><VisitForm v-if="answer.course.asks" :course-id="courseId" @in="reload" /></template>
    </CourseFace>
  </main>
  <LoadState v-else :state="state" @again="reload" />
</template>

<style scoped>
.page {
  min-height: calc(100vh - var(--bar-height));
  background: var(--card);
}
</style>
