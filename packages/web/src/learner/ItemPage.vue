<script setup lang="ts">
import { IconArrowLeft, IconArrowRight } from '@tabler/icons-vue';
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

const { t } = useI18n();
const route = useRoute();
const session = useSession();
const courseId = computed(() => String(route.params['course']));
const itemId = computed(() => String(route.params['item']));
const { answer, state, reload } = useAnswer<ReadItemAnswer>(
  () => path`/api/learn/${courseId.value}/items/${itemId.value}`,
);
const to = (neighbour: Neighbour): string => `/courses/${courseId.value}/items/${neighbour.id}`;

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
      :level="1"
    />
    <nav class="ways" :aria-label="t('learner.ways')">
      <RouterLink v-if="answer.previous" class="way" :to="to(answer.previous)">
        <span class="soft"><IconArrowLeft :size="16" aria-hidden="true" /> {{ t('learner.previous') }}</span>
        <span
          ><span class="figures">{{ answer.previous.number }}</span> {{ answer.previous.title }}</span
        >
      </RouterLink>
      <RouterLink v-if="answer.next" class="way on" :to="to(answer.next)">
        <span class="soft">{{ t('learner.next') }} <IconArrowRight :size="16" aria-hidden="true" /></span>
        <span
          ><span class="figures">{{ answer.next.number }}</span> {{ answer.next.title }}</span
        >
      </RouterLink>
    </nav>
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

.ways {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  margin-top: 40px;
  padding-top: 16px;
  border-top: 3px solid var(--route);
}

.way {
  display: grid;
  gap: 2px;
  padding: 10px 14px;
  border: 1px solid var(--rule);
  border-radius: 6px;
  color: var(--ink);
  text-decoration: none;
}

.way:hover {
  border-color: var(--bottle);
  background: var(--bottle-pale);
}

.way .soft {
  display: inline-flex;
  align-items: center;
  gap: 4px;
  font-size: 13px;
}

.way.on {
  grid-column: 2;
  justify-items: end;
  text-align: right;
}

@media (max-width: 520px) {
  .ways {
    grid-template-columns: 1fr;
  }

  .way.on {
    grid-column: 1;
    grid-row: 1;
  }

  .course {
    font-size: 14px;
  }
}
</style>
