<script setup lang="ts">
/** How far one is in a course: the same that its home panel says, item by item. */
import type { ProgressAnswer } from '@itinerary/contract';
import { ref, shallowRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { ask, ProblemError } from '../../api/client.ts';
import { useLive } from '../../stores/live.ts';
import { useSession } from '../../stores/session.ts';
import LoadState from '../../ui/frame/LoadState.vue';
import HowFar from '../../ui/progress/HowFar.vue';
import { setTitle } from '../../words/page-title.ts';

const { t } = useI18n();
const route = useRoute();
const session = useSession();
const courseId = String(route.params['course']);
const answer = shallowRef<ProgressAnswer | null>(null);
const state = ref<'loading' | 'there' | 'nothing' | 'failed'>('loading');
setTitle(t('progress.title'));

async function load(): Promise<void> {
  try {
    answer.value = await ask('GET /api/learn/{course}/progress', { params: { course: courseId } });
    state.value = 'there';
  } catch (error) {
    if (answer.value !== null) return;
    state.value = error instanceof ProblemError && error.problem.status === 404 ? 'nothing' : 'failed';
  }
}
void load();
useLive(() => void load());
</script>

<template>
  <main v-if="state === 'there' && answer !== null" id="main" class="page">
    <h1>{{ t('progress.title') }}</h1>
    <HowFar :course-id="courseId" :progress="answer" :today="session.today" />
  </main>
  <LoadState v-else :state="state" @again="load" />
</template>

<style scoped>
.page {
  width: 100%;
  max-width: 820px;
  margin-inline: auto;
  padding: 20px 16px 40px;
}

h1 {
  margin-bottom: 12px;
}
</style>
