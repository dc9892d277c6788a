<script setup lang="ts">
/** One learner, for staff: where they stand, and every deed of theirs, the latest first. */
import type { LearnerAnswer } from '@itinerary/contract';
import { ref, shallowRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { IconArrowLeft } from '@tabler/icons-vue';
import { ask, ProblemError } from '../../api/client.ts';
import { useMomentWords } from '../../stores/moment-words.ts';
import { useSession } from '../../stores/session.ts';
import LoadState from '../../ui/frame/LoadState.vue';
import HowFar from '../../ui/progress/HowFar.vue';
import { setTitle } from '../../words/page-title.ts';

const { t } = useI18n();
const route = useRoute();
const session = useSession();
const when = useMomentWords();
const courseId = String(route.params['course']);
const person = String(route.params['person']);
const answer = shallowRef<LearnerAnswer | null>(null);
const state = ref<'loading' | 'there' | 'nothing' | 'failed'>('loading');

async function load(): Promise<void> {
  state.value = 'loading';
  try {
    answer.value = await ask('GET /api/courses/{course}/progress/{person}', {
      params: { course: courseId, person },
    });
    setTitle(answer.value.person.name);
    state.value = 'there';
  } catch (error) {
    state.value = error instanceof ProblemError && error.problem.status === 404 ? 'nothing' : 'failed';
  }
}
void load();
const titleOf = (id: string): string =>
  answer.value?.progress.items.find((item) => item.id === id)?.title ?? t('grid.anItem');
function words({ deed }: LearnerAnswer['deeds'][number]): string {
  const percent = 'percent' in deed ? Math.round((deed.percent ?? 0) * 10) / 10 : 0;
  return t(`grid.deeds.${deed.kind}`, { percent });
}
</script>

<template>
  <main v-if="state === 'there' && answer !== null" id="main" class="page">
    <RouterLink class="back" :to="`/courses/${courseId}/progress`">
      <IconArrowLeft :size="17" aria-hidden="true" /> {{ t('grid.title') }}
    </RouterLink>
    <h1 dir="auto">{{ answer.person.name }}</h1>
    <p class="soft figures">
      {{ t('grid.joined', { when: when(Date.parse(answer.person.joinedAt), answer.progress.zone) }) }}
    </p>
    <HowFar :course-id="courseId" :progress="answer.progress" :today="session.today" />
    <section aria-labelledby="deeds">
      <h2 id="deeds">{{ t('grid.log') }}</h2>
      <p v-if="answer.deeds.length === 0" class="soft">{{ t('grid.noDeeds') }}</p>
      <ul>
        <li v-for="(one, at) in answer.deeds" :key="at">
          <span class="figures soft">{{ when(Date.parse(one.at), answer.progress.zone) }}</span>
          <span>{{ words(one) }}</span>
          <span dir="auto">{{ titleOf(one.item) }}</span>
          <span v-if="one.by !== null" class="soft" dir="auto">{{
            t('grid.said', { who: one.by, why: one.reason ?? '' })
          }}</span>
        </li>
      </ul>
    </section>
  </main>
  <LoadState v-else :state="state" @again="load" />
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  width: 100%;
  max-width: 900px;
  margin-inline: auto;
  padding: 20px 16px 40px;
}

.back {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}

h2 {
  margin-top: 14px;
  font-size: 17px;
}

ul {
  margin: 4px 0 0;
  padding: 0;
  border-top: 3px solid var(--route);
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
  overflow-wrap: anywhere;
}
</style>
