<script setup lang="ts">
/** Section by section: one section on a page of its own, with the way on and back. */
import type { ItemView } from '@itinerary/core';
import { computed, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { dayIn } from '../../words/dates.ts';
import { setTitle } from '../../words/page-title.ts';
import { useSession } from '../../stores/session.ts';
import ReadingFrame from '../text/ReadingFrame.vue';
import SectionFace from './SectionFace.vue';
import { sectionTitle } from '../words/titles.ts';
import { useAnswer } from '../../api/use-answer.ts';
import WayButtons from '../course/WayButtons.vue';

const { t, locale } = useI18n();
const route = useRoute();
const router = useRouter();
const session = useSession();
const courseId = computed(() => String(route.params['course']));
const { answer, state, reload } = useAnswer('GET /api/learn/{course}', () => ({
  params: { course: courseId.value },
}));
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
  if (now !== null) setTitle(sectionTitle(now, t, locale.value));
});
</script>

<template>
  <ReadingFrame
    :course-id="courseId"
    :state="state === 'there' && section === null ? 'nothing' : state"
    @again="reload"
  >
    <template v-if="section !== null">
      <SectionFace
        :section="section"
        :today="today"
        :level="1"
        :href-for="hrefFor"
        @open="router.push(hrefFor($event))"
      />
      <WayButtons :previous="way(-1)" :next="way(1)" />
    </template>
  </ReadingFrame>
</template>
