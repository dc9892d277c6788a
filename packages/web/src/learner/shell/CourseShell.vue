<script setup lang="ts">
/** Around every page of a course: the bar, the menu, and the course's own look and language. */
import { IconRoute, IconSearch } from '@tabler/icons-vue';
import type { ContactView } from '@itinerary/core';
import { computed, onBeforeUnmount, provide, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { path } from '../../api/client.ts';
import { holdLocale } from '../../words/i18n.ts';
import { setTitleCourse } from '../../words/page-title.ts';
import { useLive } from '../../stores/live.ts';
import AppBar from '../../ui/frame/AppBar.vue';
import LoadState from '../../ui/frame/LoadState.vue';
import { useAnswer } from '../../api/use-answer.ts';
import CourseFrame from './CourseFrame.vue';
import { CONTACTS, COURSE_FRAME, ROLE_NAMES } from './frame.ts';

const { t } = useI18n();
const route = useRoute();
const courseId = computed(() => String(route.params['course']));
const { answer, state, reload, refresh } = useAnswer('GET /api/learn/{course}/frame', () => ({
  params: { course: courseId.value },
}));
useLive(() => void refresh());
provide(COURSE_FRAME, answer);
provide(
  ROLE_NAMES,
  computed(() => answer.value?.roleNames ?? {}),
);

provide(
  CONTACTS,
  computed(() => ({
    contacts: answer.value?.contacts ?? [],
    pictureHref: ({ id }: ContactView) =>
      `${path`/api/learn/${courseId.value}/face/card`}?width=160&id=${id}`,
  })),
);

/** What is new is seen by being read: the number goes when one has been there. */
watch(
  () => route.name,
  (now, before) => {
    if (before === 'course-announcements' && now !== before) void refresh();
  },
);
watch(answer, (frame) => {
  void holdLocale(frame?.language ?? null, frame?.languageHeld === true);
  setTitleCourse(frame?.title ?? null);
});
onBeforeUnmount(() => {
  void holdLocale(null, false);
  setTitleCourse(null);
});
</script>

<template>
  <AppBar class="no-print">
    <RouterLink v-if="answer !== null" class="course" dir="auto" :to="`/courses/${courseId}/home`">{{
      answer.title
    }}</RouterLink>
    <template #end>
      <RouterLink v-if="answer !== null" class="find" :to="`/courses/${courseId}/find`">
        <IconSearch :size="20" aria-hidden="true" />
        <span class="visually-hidden">{{ t('learner.findHere') }}</span>
      </RouterLink>
      <RouterLink v-if="answer?.mayPlan" class="button small to-setup" :to="`/setup/${courseId}/outline`">
        <IconRoute :size="17" aria-hidden="true" /> <span class="words">{{ t('learner.toSetup') }}</span>
      </RouterLink>
    </template>
  </AppBar>
  <LoadState v-if="state === 'nothing' || state === 'failed'" :state="state" @again="reload" />
  <!-- The page asks for what it needs beside its frame, and is shown once it has one. -->
  <CourseFrame
    v-else
    v-show="answer !== null"
    :course-id="courseId"
    :menu="answer?.menu ?? null"
    :place="answer?.menuPlace ?? 'top'"
    :current="route.path"
    :unread="answer?.unread ?? 0"
    :look="answer?.look ?? null"
  >
    <RouterView />
  </CourseFrame>
</template>

<style scoped>
.course {
  overflow: hidden;
  color: inherit;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.find,
.to-setup {
  flex: none;
}

.find {
  display: grid;
  place-items: center;
  width: 36px;
  height: 36px;
  color: inherit;
}

@media (max-width: 520px) {
  .course {
    font-size: 14px;
  }

  /* Seen no more, and told as before. */
  .to-setup .words {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
    white-space: nowrap;
  }
}
</style>
