<script setup lang="ts">
/** A quiz as a learner takes it: what it asks for, the attempt under way, and what came of those before. */
import { computed, nextTick, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useLive } from '../../../stores/live.ts';
import { useMomentWords } from '../../../stores/moment-words.ts';
import { useSession } from '../../../stores/session.ts';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { formatMinutes } from '../../../words/dates.ts';
import { formatNumber } from '../../../words/intl.ts';
import { refusedWork, useProblemSentence } from '../../../words/problems.ts';
import KeepingLine from '../KeepingLine.vue';
import QuestionForm from './QuestionForm.vue';
import QuizAttempts from './QuizAttempts.vue';
import { isAnswered } from './answered.ts';
import { useCountdown } from '../../../words/countdown.ts';
import { useQuiz } from './use-quiz.ts';

const props = defineProps<{ courseId: string; itemId: string; personId: string }>();
const emit = defineEmits<{ changed: [] }>();
const { t, locale } = useI18n();
const session = useSession();
const when = useMomentWords();
const sentence = useProblemSentence();
const taking = useQuiz(props.courseId, props.itemId, props.personId);
const { quiz, answers, keeping, elsewhere, failure, isBusy } = taking;
void taking.load(null).catch(() => undefined);
useLive(() => void taking.load().catch(() => undefined));

const zone = computed(() => quiz.value?.zone ?? 'UTC');
const at = (iso: string | null): string => (iso === null ? '' : when(Date.parse(iso), zone.value));
const number = (value: number): string => formatNumber(value, locale.value, { maximumFractionDigits: 2 });
const percent = (value: number): string =>
  formatNumber(value, locale.value, { style: 'percent', maximumFractionDigits: 1 });

const open = computed(() => quiz.value?.open ?? null);
const attempt = computed(() => quiz.value?.attempts.find(({ id }) => id === open.value?.attempt) ?? null);
const isUnderWay = computed(() => attempt.value !== null && attempt.value.ended === null);
const facts = computed(() => {
  const of = quiz.value;
  if (of === null) return [];
  const { tries, limit, total, passAt, due } = of;
  return [
    t('quiz.facts.questions', of.questions),
    t('quiz.facts.points', { points: number(total) }, total),
    ...(passAt === null ? [] : [t('quiz.facts.passAt', { points: number(passAt) }, passAt)]),
    ...(limit === null ? [] : [t('quiz.facts.limit', { minutes: formatMinutes(limit, locale.value) })]),
    ...(due === null ? [] : [t('quiz.facts.due', { due: when(Date.parse(due) - 1, zone.value) })]),
    ...(tries.most === null
      ? []
      : [t('quiz.facts.tries', { used: tries.used, most: tries.most }, tries.most)]),
    ...(tries.most === 1 ? [] : [t(`quiz.facts.counts.${of.counts}`)]),
    t(`quiz.facts.reveals.${of.reveals}`),
  ];
});
const cannot = computed(() => {
  const of = quiz.value;
  if (of === null || !of.mayAnswer || of.fault === null || of.fault === 'under_way') return null;
  return t(`quiz.refused.${of.fault}`, { from: at(of.from) });
});

/** One by one: which of them is shown. */
const shownAt = ref(0);
watch(
  () => open.value?.attempt,
  () => (shownAt.value = 0),
);
const isOneByOne = computed(() => isUnderWay.value && quiz.value?.layout === 'one');
const shown = computed(() => {
  const all = (open.value?.questions ?? []).map((question, index) => ({ question, number: index + 1 }));
  return isOneByOne.value ? all.slice(shownAt.value, shownAt.value + 1) : all;
});
const toldOf = (id: string) => open.value?.told.find(({ question }) => question === id) ?? null;
const isChecked = (id: string): boolean =>
  open.value?.answers.some(({ question, isChecked: is }) => question === id && is) === true;
const answered = computed(
  () => (open.value?.questions ?? []).filter(({ id }) => isAnswered(answers.value.get(id))).length,
);
const root = ref<HTMLElement | null>(null);
async function show(index: number): Promise<void> {
  shownAt.value = index;
  await nextTick();
  root.value?.querySelector<HTMLElement>('.question')?.focus();
}

const end = computed(() =>
  isUnderWay.value && attempt.value?.end != null ? Date.parse(attempt.value.end) : null,
);
/** The server has ended it by now: what it says counts. */
const left = useCountdown(
  end,
  () => Date.parse(session.now()),
  () => void taking.load(attempt.value?.id ?? null).then(() => emit('changed')),
);
const isAsked = ref(false);
async function begin(): Promise<void> {
  await taking.begin();
  if (isUnderWay.value) await show(0);
}
async function handIn(): Promise<void> {
  isAsked.value = false;
  if (await taking.end()) emit('changed');
}
const refusedBy = computed(() => {
  const error = failure.value;
  if (error === null) return null;
  const refused = refusedWork(error);
  const path = refused?.path;
  if (path === 'required') return t('quiz.refused.required', { number: Number(refused?.value) });
  return path !== undefined && KNOWN.includes(path)
    ? t(`quiz.refused.${path}`, { from: at(quiz.value?.from ?? null) })
    : sentence(error);
});
const KNOWN = ['over', 'under_way', 'no_questions', 'no_tries', 'wait', 'item'];
</script>

<template>
  <section v-if="quiz !== null" ref="root" class="quiz" aria-labelledby="quiz-title">
    <h2 id="quiz-title">{{ t('quiz.title') }}</h2>
    <p v-if="quiz.mayMark">
      <RouterLink class="button" :to="`/courses/${courseId}/items/${itemId}/answers`">
        {{ t('quiz.look') }}
      </RouterLink>
    </p>
    <ul v-if="!isUnderWay" class="facts">
      <li v-for="fact in facts" :key="fact">{{ fact }}</li>
    </ul>
    <div v-if="quiz.result !== null && !isUnderWay" class="result">
      <p class="figures points">
        {{
          t('quiz.result', {
            points: number(quiz.result.points),
            total: number(quiz.total),
            share: percent(quiz.result.share),
          })
        }}
      </p>
      <p v-if="!quiz.result.isFinal">{{ t('quiz.notFinal') }}</p>
      <p v-else-if="quiz.result.hasPassed !== null">
        {{ t(quiz.result.hasPassed ? 'quiz.passed' : 'quiz.notPassed') }}
      </p>
    </div>
    <p v-if="cannot" class="cannot">{{ cannot }}</p>
    <p v-if="quiz.mayAnswer && quiz.fault === null" class="acts">
      <PushButton weight="main" :disabled="isBusy" @click="begin">
        {{ t(quiz.attempts.length === 0 ? 'quiz.begin' : 'quiz.beginAnew') }}
      </PushButton>
      <span v-if="quiz.limit !== null" class="soft">{{ t('quiz.clockRuns') }}</span>
    </p>
    <p v-if="refusedBy" class="failure" role="alert">{{ refusedBy }}</p>

    <template v-if="open !== null && attempt !== null">
      <h3 v-if="!isUnderWay">{{ t('quiz.lookedAt', { number: attempt.number }) }}</h3>
      <nav v-if="isOneByOne" class="places" :aria-label="t('quiz.places')">
        <PushButton
          v-for="(question, index) in open.questions"
          :key="question.id"
          small
          :class="{ here: index === shownAt, answered: isAnswered(answers.get(question.id)) }"
          :aria-current="index === shownAt ? 'step' : undefined"
          :aria-label="
            t(isAnswered(answers.get(question.id)) ? 'quiz.placeAnswered' : 'quiz.place', {
              number: index + 1,
            })
          "
          @click="show(index)"
        >
          {{ index + 1 }}
        </PushButton>
      </nav>
      <QuestionForm
        v-for="{ question, number: place } in shown"
        :key="question.id"
        tabindex="-1"
        :course-id="courseId"
        :item-id="itemId"
        :question="question"
        :number="place"
        :answer="answers.get(question.id)"
        :told="toldOf(question.id)"
        :readonly="!isUnderWay || !quiz.mayAnswer || isChecked(question.id)"
        :checkable="isUnderWay && quiz.reveals === 'at_once' && !isChecked(question.id)"
        :is-elsewhere="elsewhere.includes(question.id)"
        :busy="isBusy"
        @answer="taking.answer(question.id, $event)"
        @check="taking.check(question.id)"
      />
      <p v-if="isOneByOne" class="acts">
        <PushButton :disabled="shownAt === 0" @click="show(shownAt - 1)">{{ t('quiz.previous') }}</PushButton>
        <PushButton :disabled="shownAt === open.questions.length - 1" @click="show(shownAt + 1)">
          {{ t('quiz.next') }}
        </PushButton>
      </p>
      <div v-if="isUnderWay" class="bar">
        <!-- In a row of its own: beside it, what is pressed would move away under the press as the words change. -->
        <KeepingLine class="keeping-line" :keeping="keeping" :words="t(`quiz.keeping.${keeping}`)" />
        <p class="figures">
          {{ t('quiz.answered', { answered, of: open.questions.length }) }}
          <span v-if="left" class="left" role="timer">{{ t('quiz.left', { left }) }}</span>
        </p>
        <PushButton weight="main" :disabled="isBusy" @click="isAsked = true">{{
          t('quiz.handIn')
        }}</PushButton>
      </div>
    </template>

    <QuizAttempts
      :attempts="quiz.attempts"
      :total="quiz.total"
      :zone="zone"
      :looked="open?.attempt ?? null"
      @look="taking.load"
    />

    <DialogBox v-model="isAsked" :title="t('quiz.ask')">
      <p v-if="open !== null && answered < open.questions.length">
        {{ t('quiz.askSome', open.questions.length - answered) }}
      </p>
      <p>{{ t('quiz.askText') }}</p>
      <template #foot>
        <PushButton @click="isAsked = false">{{ t('common.cancel') }}</PushButton>
        <PushButton weight="main" @click="handIn">{{ t('quiz.handIn') }}</PushButton>
      </template>
    </DialogBox>
  </section>
</template>

<style scoped>
.quiz {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  max-width: 720px;
  margin-top: 28px;
  padding: 16px;
  border-top: 3px solid var(--route);
  background: var(--card);
}

h2 {
  font-size: 19px;
}

h3 {
  font-size: 15.5px;
}

.facts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 2px 18px;
  margin: 0;
  padding: 0;
  list-style: none;
}

.result {
  padding: 10px 14px;
  border-inline-start: 4px solid var(--open);
  background: var(--mist);
}

.points {
  font-weight: 600;
}

.cannot {
  font-weight: 600;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}

.places {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.places .here {
  border-color: var(--route);
  font-weight: 700;
}

.places .answered {
  background: var(--mist);
}

.bar {
  position: sticky;
  z-index: 2;
  bottom: var(--menu-below, 0);
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  justify-content: space-between;
  margin: 0 -16px;
  padding: 10px 16px;
  border-top: 1px solid var(--rule);
  background: var(--card);
}

.keeping-line {
  flex: 1 0 100%;
}

.left {
  margin-inline-start: 10px;
  font-weight: 600;
}

.failure {
  color: var(--blocker);
}
</style>
