<script setup lang="ts">
import { IconArrowLeft } from '@tabler/icons-vue';
import type { Neighbour, ReadItemAnswer } from '@itinerary/contract';
import { computed, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { path } from '../api/client.ts';
import { setTitle } from '../app/router.ts';
import { useSession } from '../stores/session.ts';
import AppBar from '../ui/AppBar.vue';
import ItemFace from './ItemFace.vue';
import { rememberRead } from './last-read.ts';
import LoadState from './LoadState.vue';
import { useAnswer } from './use-answer.ts';
import WayButtons from './WayButtons.vue';

const { t } = useI18n();
const route = useRoute();
const session = useSession();
const courseId = computed(() => String(route.params['course']));
const itemId = computed(() => String(route.params['item']));
const { answer, state, reload } = useAnswer<ReadItemAnswer>(
  () => path`/api/learn/${courseId.value}/items/${itemId.value}`,
);
const way = (neighbour: Neighbour | null): (Neighbour & { readonly to: string }) | null =>
  neighbour === null ? null : { ...neighbour, to: `/courses/${courseId.value}/items/${neighbour.id}` };

watch(answer, (got) => {
  if (got === null) return;
  setTitle(`${got.item.title} · ${got.course.title}`);
  rememberRead(courseId.value, got.item.id);
});
</script>

<template>
  <AppBar>
    <RouterLink v-if="answer" class="course" :to="`/courses/${courseId}`">{{
      answer.course.title
    }}</RouterLink>
  </AppBar>
  <main v-if="answer !== null && state === 'there'" id="main" class="page">
    <RouterLink class="back" :to="`/courses/${courseId}`">
      <IconArrowLeft :size="17" aria-hidden="true" /> {{ t('learner.allSections') }}
    </RouterLink>
    <ItemFace
      :section="answer.section"
      :item="answer.item"
      :html="answer.html"
      :today="session.today"
      :zone="answer.course.zone"
      :file-href="path`/api/learn/${courseId}/items/${itemId}/file`"
      :level="1"
    />
    <WayButtons :previous="way(answer.previous)" :next="way(answer.next)" />
  </main>
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

@media (max-width: 520px) {
  .course {
    font-size: 14px;
  }
}
</style>
