<script setup lang="ts">
import { IconUsersGroup } from '@tabler/icons-vue';
import type { Neighbour } from '@itinerary/contract';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import type { Component } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { ask, path } from '../../api/client.ts';
import { loadMessages } from '../../words/i18n.ts';
import { setTitle } from '../../words/page-title.ts';
import { useLive } from '../../stores/live.ts';
import { useSession } from '../../stores/session.ts';
import ItemFace from './ItemFace.vue';
import { rememberRead } from '../course/last-read.ts';
import ReadingFrame from '../text/ReadingFrame.vue';
import { useAnswer } from '../../api/use-answer.ts';
import WayButtons from '../course/WayButtons.vue';

/** What is done in an item, by its kind: it comes where it is wanted, with its words. */
const WORK: Readonly<Partial<Record<string, Component>>> = {
  assignment: defineAsyncComponent(async () => {
    await loadMessages(['work']);
    return import('../coursework/HandIn.vue');
  }),
  quiz: defineAsyncComponent(async () => {
    await loadMessages(['quiz']);
    return import('../coursework/quiz/QuizWork.vue');
  }),
  discussion: defineAsyncComponent(async () => {
    await loadMessages(['talk', 'work']);
    return import('../coursework/talk/TalkWork.vue');
  }),
  meeting: defineAsyncComponent(async () => {
    await loadMessages(['meeting']);
    return import('../coursework/meeting/MeetingWork.vue');
  }),
  survey: defineAsyncComponent(async () => {
    await loadMessages(['survey']);
    return import('../coursework/survey/SurveyWork.vue');
  }),
};
const FilmPlayer = defineAsyncComponent(async () => {
  await loadMessages(['film']);
  return import('../coursework/film/FilmPlayer.vue');
});
/** Few change a page: its editor comes when it is wanted. */
const PageEditor = defineAsyncComponent(() => import('../../page-editor/PageEditor.vue'));

const { t } = useI18n();
const isChanging = ref(false);
const route = useRoute();
const session = useSession();
const courseId = computed(() => String(route.params['course']));
const itemId = computed(() => String(route.params['item']));
const { answer, state, reload, refresh } = useAnswer('GET /api/learn/{course}/items/{item}', () => ({
  params: { course: courseId.value, item: itemId.value },
}));
useLive(() => void refresh());

async function tick(done: boolean): Promise<void> {
  const at = { params: { course: courseId.value, item: itemId.value } };
  await (done
    ? ask('PUT /api/learn/{course}/items/{item}/done', at)
    : ask('DELETE /api/learn/{course}/items/{item}/done', at));
  await refresh();
}

const way = (neighbour: Neighbour | null): (Neighbour & { readonly to: string }) | null =>
  neighbour === null ? null : { ...neighbour, to: `/courses/${courseId.value}/items/${neighbour.id}` };

watch(itemId, () => (isChanging.value = false));
watch(answer, (got) => {
  if (got === null) return;
  setTitle(got.item.title);
  rememberRead(courseId.value, got.item.id);
});
</script>

<template>
  <ReadingFrame :course-id="courseId" :state="state" @again="reload">
    <template v-if="answer !== null">
      <ItemFace
        :section="answer.section"
        :item="answer.item"
        :html="answer.html"
        :today="session.today"
        :zone="answer.course.zone"
        :file-href="path`/api/learn/${courseId}/items/${itemId}/file`"
        :level="1"
        @tick="tick"
      >
        <template v-if="answer.item.kind === 'video' && session.person !== null" #file="{ file, href }">
          <FilmPlayer
            :key="itemId"
            :course-id="courseId"
            :item-id="itemId"
            :person-id="session.person.id"
            :file="file"
            :href="href"
            @changed="refresh"
          />
        </template>
      </ItemFace>
      <p v-if="answer.group" class="group">
        <IconUsersGroup :size="17" aria-hidden="true" />
        <span>
          {{
            answer.group.own === null
              ? t('learner.group.none')
              : t('learner.group.own', { name: answer.group.own })
          }}
          <span class="soft">{{ answer.group.people.join(', ') }}</span>
          {{ t(`learner.group.${answer.group.mode}`) }}
        </span>
      </p>
      <component
        :is="WORK[answer.item.kind]"
        v-if="answer.item.kind in WORK && session.person !== null"
        :key="itemId"
        :course-id="courseId"
        :item-id="itemId"
        :person-id="session.person.id"
        @changed="refresh"
      />
      <PageEditor
        v-if="isChanging"
        :course-id="courseId"
        :item-id="itemId"
        @done="((isChanging = false), refresh())"
      />
      <p v-else-if="answer.mayChange" class="change">
        <button class="button small" type="button" @click="isChanging = true">
          {{ t('learner.changePage.begin') }}
        </button>
      </p>
      <WayButtons :previous="way(answer.previous)" :next="way(answer.next)" />
    </template>
  </ReadingFrame>
</template>

<style scoped>
.group {
  display: flex;
  gap: 8px;
  max-width: 720px;
  margin-top: 20px;
  padding: 8px 12px;
  background: var(--mist);
}

.change {
  margin-top: 24px;
}
</style>
