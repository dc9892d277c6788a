<script setup lang="ts">
/** Section by section: one section on a page of its own, with the way on and back. */
import { IconArrowLeft } from '@tabler/icons-vue';
import type { ReadCourseAnswer } from '@itinerary/contract';
import type { ItemView } from '@itinerary/core';
import { computed, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { path } from '../api/client.ts';
import { dayIn } from '../app/dates.ts';
import { setTitle } from '../app/router.ts';
import { useSession } from '../stores/session.ts';
import AppBar from '../ui/AppBar.vue';
import NothingHere from '../ui/NothingHere.vue';
import LoadState from './LoadState.vue';
import SectionFace from './SectionFace.vue';
import { sectionTitle } from './titles.ts';
import { useAnswer } from './use-answer.ts';
import WayButtons from './WayButtons.vue';

const { t, locale } = useI18n();
const route = useRoute();
const router = useRouter();
const session = useSession();
const courseId = computed(() => String(route.params['course']));
const { answer, state, reload } = useAnswer<ReadCourseAnswer>(() => path`/api/learn/${courseId.value}`);
const today = computed(() => dayIn(session.now(), answer.value?.course.zone ?? 'UTC'));

/** A section that is only named has no page of its own. */
const open = computed(() => (answer.value?.course.sections ?? []).filter(({ state: of }) => of !== 'named'));
const at = computed(() => open.value.findIndex(({ id }) => id === route.params['section']));
const section = computed(() => open.value[at.value] ?? null);
const hrefFor = (item: ItemView): string => `/courses/${courseId.value}/items/${item.id}`;
const way = (step: number): { to: string; title: string; number: string | null } | null => {
  const next = at.value < 0 ? undefined : open.value[at.value + step];
  return next === undefined
    ? null
    : {
        to: `/courses/${courseId.value}/sections/${next.id}`,
        title: sectionTitle(next, t, locale.value),
        number: next.number,
      };
};

watch(section, (now) => {
  if (now !== null) setTitle(`${sectionTitle(now, t, locale.value)} · ${answer.value?.course.title ?? ''}`);
});
</script>

<template>
  <AppBar>
    <RouterLink v-if="answer" class="course" :to="`/courses/${courseId}`">{{
      answer.course.title
    }}</RouterLink>
  </AppBar>
  <main v-if="section !== null && state === 'there'" id="main" class="page">
    <RouterLink class="back" :to="`/courses/${courseId}`">
      <IconArrowLeft :size="17" aria-hidden="true" /> {{ t('learner.allSections') }}
    </RouterLink>
    <SectionFace
      :section="section"
      :today="today"
      :level="1"
      :href-for="hrefFor"
      @open="router.push(hrefFor($event))"
    />
    <WayButtons :previous="way(-1)" :next="way(1)" />
  </main>
  <NothingHere
    v-else-if="state === 'there'"
    :title="t('common.nowhere.title')"
    :text="t('common.nowhere.text')"
  />
  <LoadState v-else :state="state" @again="reload" />
</template>

<style scoped>
.course {
  overflow: hidden;
  color: inherit;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.page {
  min-height: calc(100vh - var(--bar-height));
  padding: 20px max(16px, calc(50% - 360px)) 48px;
  background: var(--card);
}

.back {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 32px;
  margin-bottom: 12px;
}
</style>
