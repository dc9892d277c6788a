<script setup lang="ts">
/** A page of the course that collects: its sections, its work, its files, what it is about. */
import type { Area, ItemView, SectionView } from '@itinerary/core';
import { computed, inject, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { dayIn } from '../../words/dates.ts';
import { setTitle } from '../../words/page-title.ts';
import { useLive } from '../../stores/live.ts';
import { useSession } from '../../stores/session.ts';
import AreaFace from './AreaFace.vue';
import ReadingFrame from '../text/ReadingFrame.vue';
import { COURSE_FRAME } from '../shell/frame.ts';
import { useAnswer } from '../../api/use-answer.ts';

const props = defineProps<{ area: Area }>();
const { t } = useI18n();
const route = useRoute();
const router = useRouter();
const session = useSession();
const frame = inject(COURSE_FRAME, ref(null));
const courseId = computed(() => String(route.params['course']));
const { answer, state, reload, refresh } = useAnswer('GET /api/learn/{course}', () => ({
  params: { course: courseId.value },
}));
useLive(() => void refresh());

const today = computed(() => dayIn(session.now(), answer.value?.course.zone ?? 'UTC'));
const hrefFor = (item: Pick<ItemView, 'id'>): string => `/courses/${courseId.value}/items/${item.id}`;
const sectionHrefFor = ({ id }: SectionView): string => `/courses/${courseId.value}/sections/${id}`;
/** Switched off, or with nothing in it for this reader, it is not there, whatever address one has kept. */
const isThere = computed(() => frame.value === null || frame.value.areas.includes(props.area));

watch([answer, () => props.area], ([got]) => {
  if (got !== null) setTitle(t(`learner.areas.${props.area}`));
});
</script>

<template>
  <ReadingFrame
    :course-id="courseId"
    :state="state === 'there' && !isThere ? 'nothing' : state"
    :area="area"
    @again="reload"
  >
    <AreaFace
      v-if="answer !== null"
      :area="area"
      :course="answer.course"
      :description-html="answer.descriptionHtml"
      :staff="answer.staff"
      :today="today"
      :href-for="hrefFor"
      :section-href-for="sectionHrefFor"
      :level="1"
      @open="router.push(hrefFor($event))"
      @section="router.push(sectionHrefFor($event))"
    />
  </ReadingFrame>
</template>
