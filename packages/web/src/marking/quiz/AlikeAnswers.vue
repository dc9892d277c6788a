<script setup lang="ts">
/** What was answered to one question: answers that say the same stand together, and are marked together. */
import { IconArrowLeft } from '@tabler/icons-vue';
import type { AlikeAnswers } from '@itinerary/contract';
import { computed, reactive, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import { ProblemError } from '../../api/client.ts';
import NumberField from '../../ui/fields/NumberField.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { formatNumber } from '../../words/intl.ts';
import { useProblemSentence } from '../../words/problems.ts';
import type { Alike } from './use-answers.ts';

const props = defineProps<{
  looked: AlikeAnswers;
  mark: (group: Alike, points: number, comment: string) => Promise<void>;
}>();
const emit = defineEmits<{ back: []; again: [] }>();
const { t, locale } = useI18n();
const sentence = useProblemSentence();
const failure = ref('');
const said = ref('');
const isBusy = ref(false);
const MOST_COMMENT = 10_000;
/** How many names are written out. */
const FEW = 6;

/** What has been typed and not kept yet, by what is the same whatever is marked meanwhile: its first answer. */
const typed = reactive(new Map<string, { points: number | null; comment: string }>());
const keyOf = (group: Alike): string => group.from[0]?.attempt ?? '';
function of(group: Alike): { points: number | null; comment: string } {
  const there = typed.get(keyOf(group));
  if (there !== undefined) return there;
  const judged = group.isOpen ? null : group.share * props.looked.question.points;
  return { points: group.mark?.points ?? judged, comment: group.mark?.comment ?? '' };
}
const write = (group: Alike, change: Partial<{ points: number | null; comment: string }>): void => {
  typed.set(keyOf(group), { ...of(group), ...change });
};
const number = (value: number): string => formatNumber(value, locale.value, { maximumFractionDigits: 2 });
const names = (group: Alike): string => {
  const all = group.from.map(({ name }) => name ?? t('quiz.desk.nameless'));
  return all.length <= FEW ? all.join(', ') : `${all.slice(0, FEW).join(', ')} … (${all.length})`;
};
const isTruth = computed(() => props.looked.question.kind === 'truth');
const words = (line: string): string => (isTruth.value ? t(`quiz.truth.${line}`) : line);
function stands({ isOpen, share, mark }: Alike): string {
  const { points: total } = props.looked.question;
  if (isOpen) return t('quiz.desk.waits');
  const figures = { points: number(mark?.points ?? share * total), total: number(total) };
  return t(mark === null ? 'quiz.desk.judged' : 'quiz.desk.marked', figures);
}
async function keep(group: Alike): Promise<void> {
  const { points, comment } = of(group);
  if (points === null) return;
  isBusy.value = true;
  failure.value = '';
  said.value = '';
  try {
    await props.mark(group, points, comment);
    typed.delete(keyOf(group));
    said.value = t('quiz.desk.kept');
  } catch (error) {
    const isChanged = error instanceof ProblemError && error.problem.code === 'changed_elsewhere';
    failure.value = isChanged ? t('quiz.desk.changed') : sentence(error);
    if (isChanged) emit('again');
  } finally {
    isBusy.value = false;
  }
}
</script>

<template>
  <section class="alike">
    <p>
      <PushButton small @click="emit('back')">
        <IconArrowLeft :size="16" aria-hidden="true" /> {{ t('quiz.desk.back') }}
      </PushButton>
    </p>
    <h2 dir="auto">
      <span class="figures">{{ looked.question.number }}</span> {{ looked.question.text }}
    </h2>
    <p v-if="looked.question.right.length > 0" class="right">
      <span class="soft">{{ t('quiz.desk.rightIs') }}</span>
      <span dir="auto">{{ looked.question.right.join(' · ') }}</span>
    </p>
    <p v-if="looked.question.why" class="soft why" dir="auto">{{ looked.question.why }}</p>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <p class="said" role="status">{{ said }}</p>
    <p v-if="looked.answers.length === 0" class="soft">{{ t('quiz.desk.none') }}</p>
    <article v-for="group in looked.answers" :key="keyOf(group)" :class="{ open: group.isOpen }">
      <blockquote dir="auto">
        <p v-for="(line, at) in group.words" :key="at">{{ words(line) }}</p>
      </blockquote>
      <p class="soft">
        <strong class="figures">{{ t('quiz.desk.times', group.from.length) }}</strong>
        {{ t('quiz.desk.by', { names: names(group) }) }} · {{ stands(group) }}
      </p>
      <form class="mark" @submit.prevent="keep(group)">
        <NumberField
          :label="t('quiz.desk.points', { total: number(looked.question.points) })"
          :number="of(group).points"
          :least="0"
          :most="looked.question.points"
          fractions
          @set="write(group, { points: $event })"
        />
        <VTextField
          :model-value="of(group).comment"
          :label="t('quiz.desk.comment')"
          :maxlength="MOST_COMMENT"
          dir="auto"
          hide-details
          @update:model-value="write(group, { comment: $event })"
        />
        <PushButton type="submit" :disabled="isBusy || of(group).points === null">
          {{ t('quiz.desk.mark', group.from.length) }}
        </PushButton>
      </form>
    </article>
  </section>
</template>

<style scoped>
.alike {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}

h2 {
  font-size: 19px;
  white-space: pre-wrap;
}

.right span {
  margin-inline-end: 8px;
}

.why {
  white-space: pre-wrap;
}

article {
  display: grid;
  gap: 8px;
  padding: 12px 14px;
  border: 1px solid var(--rule);
  border-inline-start: 4px solid var(--rule);
  background: var(--card);
}

article.open {
  border-inline-start-color: var(--advice);
}

blockquote {
  margin: 0;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}

.mark {
  display: grid;
  grid-template-columns: 140px minmax(0, 1fr) auto;
  gap: 10px;
  align-items: start;
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

@media (width <= 640px) {
  .mark {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
