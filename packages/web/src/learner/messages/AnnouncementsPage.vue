<script setup lang="ts">
/** All announcements that stand, with what is new to the reader, and what people say about them. */
import { computed, nextTick, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { path } from '../../api/client.ts';
import { setTitle } from '../../words/page-title.ts';
import { useLive } from '../../stores/live.ts';
import { useSession } from '../../stores/session.ts';
import CommentList from './CommentList.vue';
import AnnouncementCard from '../panels/AnnouncementCard.vue';
import ReadingFrame from '../text/ReadingFrame.vue';
import { useAnswer } from '../../api/use-answer.ts';

const { t } = useI18n();
const route = useRoute();
const session = useSession();
const courseId = computed(() => String(route.params['course']));
const { answer, state, reload, refresh } = useAnswer('GET /api/learn/{course}/announcements', () => ({
  params: { course: courseId.value },
}));
useLive(() => void refresh());

/** Reading them makes them old for the next time; while this page is open they stay marked. */
const marked = new Set<string>();
watch(answer, async (got, before) => {
  if (got === null) return;
  setTitle(t('learner.areas.announcements'));
  got.announcements.filter(({ isNew }) => isNew).forEach(({ id }) => marked.add(id));
  if (before !== null || route.hash === '') return;
  await nextTick();
  document.getElementById(route.hash.slice(1))?.scrollIntoView({ block: 'start' });
});
const fileHref = (announcement: string) => (hash: string) =>
  path`/api/learn/${courseId.value}/announcements/${announcement}/files/${hash}`;
</script>

<template>
  <ReadingFrame :course-id="courseId" :state="state" area="announcements" @again="reload">
    <h1>{{ t('learner.areas.announcements') }}</h1>
    <div class="list">
      <AnnouncementCard
        v-for="one in answer?.announcements ?? []"
        :id="one.id"
        :key="one.id"
        :announcement="one"
        :html="one.html"
        :today="session.today"
        :level="2"
        :is-new="one.isNew || marked.has(one.id)"
        :file-href="fileHref(one.id)"
      >
        <CommentList
          v-if="one.comments"
          :course-id="courseId"
          :announcement="one.id"
          :count="one.commentCount"
        />
      </AnnouncementCard>
    </div>
  </ReadingFrame>
</template>

<style scoped>
.list {
  margin-top: 12px;
  border-top: 3px solid var(--route);
}

.list > * {
  scroll-margin-top: calc(var(--bar-height) + 56px);
}
</style>
