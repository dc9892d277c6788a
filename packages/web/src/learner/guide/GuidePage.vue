<script setup lang="ts">
/** The pacing guide: the whole plan on one page, made to be printed, or taken along as a table. */
import { IconDownload, IconPrinter } from '@tabler/icons-vue';
import { computed, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { path } from '../../api/client.ts';
import { dayIn } from '../../words/dates.ts';
import { setTitle } from '../../words/page-title.ts';
import { useSession } from '../../stores/session.ts';
import GuideFace from './GuideFace.vue';
import LoadState from '../../ui/frame/LoadState.vue';
import { useAnswer } from '../../api/use-answer.ts';

const { t } = useI18n();
const route = useRoute();
const session = useSession();
const courseId = computed(() => String(route.params['course']));
const { answer, state, reload } = useAnswer('GET /api/learn/{course}', () => ({
  params: { course: courseId.value },
}));
const today = computed(() => dayIn(session.now(), answer.value?.course.zone ?? 'UTC'));
const csv = computed(() => path`/api/learn/${courseId.value}/guide.csv`);

watch(answer, (got) => {
  if (got !== null) setTitle(t('learner.guide.title'));
});
const print = (): void => window.print();
</script>

<template>
  <main v-if="answer !== null && state === 'there'" id="main" class="page">
    <nav class="no-print tools">
      <span class="spacer" />
      <a class="button" :href="csv" download>
        <IconDownload :size="17" aria-hidden="true" /> {{ t('learner.guide.csv') }}
      </a>
      <button class="button main" type="button" @click="print">
        <IconPrinter :size="17" aria-hidden="true" /> {{ t('learner.guide.print') }}
      </button>
    </nav>
    <GuideFace :course="answer.course" :today="today" :level="1" />
  </main>
  <LoadState v-else :state="state" @again="reload" />
</template>

<style scoped>
.page {
  min-height: calc(100vh - var(--bar-height));
  padding: 20px max(16px, calc(50% - 420px)) 48px;
  background: var(--card);
}

.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-bottom: 16px;
}

.spacer {
  flex: 1;
}

@media print {
  .no-print {
    display: none;
  }

  .page {
    padding: 0;
  }
}
</style>
