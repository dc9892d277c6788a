<script setup lang="ts">
/** A quiz after it: who stands where, how each question went, and what waits for staff. */
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { useMomentWords } from '../../stores/moment-words.ts';
import LoadState from '../../ui/frame/LoadState.vue';
import PlainTable from '../../ui/frame/PlainTable.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { formatNumber } from '../../words/intl.ts';
import { setTitle } from '../../words/page-title.ts';
import AlikeAnswers from './AlikeAnswers.vue';
import AnewDialog from './AnewDialog.vue';
import QuestionFigures from './QuestionFigures.vue';
import { useAnswers } from './use-answers.ts';
import DeskFrame from '../DeskFrame.vue';

const { t, locale } = useI18n();
const route = useRoute();
const when = useMomentWords();
const courseId = String(route.params['course']);
const itemId = String(route.params['item']);
const answers = useAnswers(courseId, itemId);
const { list, looked } = answers;
const state = ref<'loading' | 'there' | 'failed'>('loading');
const isAway = ref(false);
const isAnew = ref(false);
const said = ref('');

async function load(): Promise<void> {
  state.value = 'loading';
  try {
    await answers.load();
    state.value = 'there';
    setTitle(t('quiz.desk.title', { title: list.value?.item.title ?? '' }));
  } catch {
    state.value = 'failed';
  }
}
void load();

const number = (value: number): string => formatNumber(value, locale.value, { maximumFractionDigits: 2 });
const at = (iso: string): string => when(Date.parse(iso), list.value?.zone ?? 'UTC');
type Person = NonNullable<typeof list.value>['people'][number];
function stands({ attempts, points, isFinal, hasPassed }: Person): string {
  const open = attempts.find(({ ended }) => ended === null);
  if (points === null) {
    return open === undefined ? t('quiz.desk.nothing') : t('quiz.desk.underWay', { begun: at(open.begun) });
  }
  const words = [t('quiz.pointsOf', { points: number(points), total: number(list.value?.item.total ?? 0) })];
  if (!isFinal) words.push(t('quiz.waits'));
  if (hasPassed !== null) words.push(t(hasPassed ? 'quiz.desk.passed' : 'quiz.desk.notPassed'));
  return words.join(' · ');
}
const hasAny = computed(() => list.value?.people.some(({ attempts }) => attempts.length > 0) === true);

async function look(question: string | null): Promise<void> {
  isAway.value = false;
  try {
    await answers.look(question);
  } catch {
    isAway.value = true;
  }
}
async function anewDone(): Promise<void> {
  isAnew.value = false;
  said.value = t('quiz.desk.anewDone');
  await look(looked.value?.question.id ?? null);
}
</script>

<template>
  <DeskFrame
    v-if="state === 'there' && list !== null"
    :course-id="courseId"
    :item-id="itemId"
    :item="list.item.title"
    :title="t('quiz.desk.title', { title: list.item.title })"
  >
    <template #acts>
      <PushButton :disabled="!hasAny" @click="isAnew = true">{{ t('quiz.desk.anew') }}</PushButton>
    </template>
    <p role="status" class="said">{{ said }}</p>
    <p v-if="isAway" class="failure" role="alert">{{ t('quiz.desk.away') }}</p>
    <AlikeAnswers
      v-if="looked !== null"
      :looked="looked"
      :mark="answers.mark"
      @back="look(null)"
      @again="look(looked.question.id)"
    />
    <template v-else>
      <section aria-labelledby="answers-questions">
        <h2 id="answers-questions">{{ t('quiz.desk.questions') }}</h2>
        <QuestionFigures :questions="list.questions" @look="look" />
      </section>
      <section aria-labelledby="answers-people">
        <h2 id="answers-people">{{ t('quiz.desk.people') }}</h2>
        <p v-if="!hasAny" class="soft">{{ t('quiz.desk.nobody') }}</p>
        <PlainTable
          v-else
          :columns="[
            { title: t('quiz.desk.name') },
            { title: t('quiz.desk.attempts'), atEnd: true },
            { title: t('quiz.desk.result') },
          ]"
        >
          <tr v-for="one in list.people" :key="one.person">
            <th scope="row">{{ one.name }}</th>
            <td class="right figures">{{ one.attempts.length }}</td>
            <td>{{ stands(one) }}</td>
          </tr>
        </PlainTable>
      </section>
    </template>
    <AnewDialog v-model="isAnew" :answers="answers" @done="anewDone" />
  </DeskFrame>
  <LoadState v-else :state="state" @again="load" />
</template>

<style scoped>
h2 {
  margin-bottom: 8px;
  font-size: 18px;
}

.said {
  color: var(--open);
  font-weight: 600;
}

.said:empty {
  display: none;
}

.failure {
  color: var(--blocker);
}
</style>
