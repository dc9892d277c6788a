<script setup lang="ts">
/** Where one arrives who opens a course: its home page, or wherever the course sends them. */
import type { ItemView, SectionView } from '@itinerary/core';
import { computed, defineAsyncComponent, inject, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { loadMessages } from '../../words/i18n.ts';
import { dayIn } from '../../words/dates.ts';
import { setTitle } from '../../words/page-title.ts';
import { useLive } from '../../stores/live.ts';
import { useSession } from '../../stores/session.ts';
import { itemToCarryOn } from './carry-on.ts';
import CourseFace from './CourseFace.vue';
import { removeFirstFace } from './first-face.ts';
import { lastRead } from './last-read.ts';
import LoadState from '../../ui/frame/LoadState.vue';
import { AREA_PATHS } from '../../words/menu-words.ts';
import { COURSE_FRAME } from '../shell/frame.ts';
import { useAnswer } from '../../api/use-answer.ts';
import VisitForm from './VisitForm.vue';

/** Of those who are in the course nobody waits for it. */
const JoinHere = defineAsyncComponent(() => import('../join/JoinHere.vue'));
/** What comes after the course itself is there. */
const NewsStrip = defineAsyncComponent(async () => {
  await loadMessages(['own']);
  return import('../own/NewsStrip.vue');
});
const route = useRoute();
const router = useRouter();
const session = useSession();
const frame = inject(COURSE_FRAME, ref(null));
const courseId = computed(() => String(route.params['course']));
const isArriving = computed(() => route.name === 'course');
const { answer, state, reload, refresh } = useAnswer('GET /api/learn/{course}', () => ({
  params: { course: courseId.value },
  query: isArriving.value ? { arriving: '1' as const } : {},
}));
useLive(() => void refresh());

const today = computed(() => dayIn(session.now(), answer.value?.course.zone ?? 'UTC'));
const last = computed(() => lastRead(courseId.value) ?? answer.value?.last ?? null);
const carryOn = computed(() =>
  answer.value === null ? null : itemToCarryOn(answer.value.course, last.value),
);
const hrefFor = (item: Pick<ItemView, 'id'>): string => `/courses/${courseId.value}/items/${item.id}`;
const sectionHrefFor = ({ id }: Pick<SectionView, 'id'>): string =>
  `/courses/${courseId.value}/sections/${id}`;

/** Arriving is once: what changes while the page is open sends nobody away. */
let arrivedAt = '';
const isLeaving = ref(false);
watch(answer, (got) => {
  if (got === null) return;
  setTitle(got.course.title);
  if (!isArriving.value || arrivedAt === got.course.id) return;
  arrivedAt = got.course.id;
  const { arrival } = got;
  if (arrival.to === 'home') return;
  isLeaving.value = true;
  const to =
    arrival.to === 'item'
      ? hrefFor(arrival)
      : arrival.to === 'section'
        ? sectionHrefFor(arrival)
        : `/courses/${got.course.id}/${AREA_PATHS[arrival.to]}`;
  void router.replace(to);
});
watch(state, (now) => {
  if (now === 'nothing' || now === 'failed') removeFirstFace();
});
</script>

<template>
  <main v-if="answer !== null && state === 'there' && !isLeaving" id="main">
    <CourseFace
      :course="answer.course"
      :home="answer.home"
      :texts="answer.texts"
      :banner="frame?.banner ?? null"
      :seed="frame?.look.seed ?? null"
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
      <template #visit>
        <NewsStrip
          v-if="answer.isMember && session.person !== null"
          :course-id="courseId"
          :shows-log="answer.showsLog"
        />
        <JoinHere v-if="!answer.isMember" :course-id="courseId" class="join" />
        <VisitForm v-if="answer.course.asks" :course-id="courseId" @in="reload" />
      </template>
    </CourseFace>
  </main>
  <LoadState v-else :state="isLeaving ? 'loading' : state" @again="reload" />
</template>

<style scoped>
.join {
  margin-top: 14px;
}
</style>
