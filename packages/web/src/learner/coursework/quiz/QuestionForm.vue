<script setup lang="ts">
/** One question, and how it is answered; once it is told, what is right and why. */
import { IconCheck, IconCircleDashed, IconX } from '@tabler/icons-vue';
import type { OwnQuizAnswer, QuizAnswer } from '@itinerary/contract';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextarea } from 'vuetify/components/VTextarea';
import { VTextField } from 'vuetify/components/VTextField';
import { path } from '../../../api/client.ts';
import { MOST_LONG_ANSWER, MOST_SHORT_ANSWER } from '../../../stores/limits.ts';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import ChoiceList from '../../../ui/fields/choice/ChoiceList.vue';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { formatNumber } from '../../../words/intl.ts';
import AskedFrame from '../AskedFrame.vue';
import OrderAnswer from './OrderAnswer.vue';
import { isAnswered } from './answered.ts';

type Open = NonNullable<OwnQuizAnswer['open']>;
const props = defineProps<{
  courseId: string;
  itemId: string;
  question: Open['questions'][number];
  number: number;
  answer: QuizAnswer | undefined;
  /** Null: nothing is told of it yet. */
  told: Open['told'][number] | null;
  /** It is looked at, and not answered any more. */
  readonly: boolean;
  /** It can be judged at once. */
  checkable: boolean;
  isElsewhere: boolean;
  busy: boolean;
}>();
const emit = defineEmits<{ answer: [answer: QuizAnswer]; check: [] }>();
const { t, locale } = useI18n();

/** What there is to answer of this kind; nothing where it was answered as another kind. */
function of<Kind extends QuizAnswer['kind']>(kind: Kind): Extract<QuizAnswer, { kind: Kind }> | null {
  return props.answer?.kind === kind ? (props.answer as Extract<QuizAnswer, { kind: Kind }>) : null;
}
const text = computed(() => of('short')?.text ?? of('long')?.text ?? of('number')?.text ?? '');
function write(typed: string): void {
  const { kind } = props.question;
  if (kind === 'number') emit('answer', { kind, text: typed, language: locale.value as 'en' });
  else if (kind === 'short' || kind === 'long') emit('answer', { kind, text: typed });
}
function tick(id: string, on: boolean): void {
  const chosen = (of('several')?.chosen ?? []).filter((one) => one !== id);
  emit('answer', { kind: 'several', chosen: on ? [...chosen, id] : chosen });
}
function place(left: string, right: string): void {
  const { [left]: _before, ...others } = of('matching')?.placed ?? {};
  void _before;
  emit('answer', { kind: 'matching', placed: right === '' ? others : { ...others, [left]: right } });
}
const truths = computed(() => [
  { value: 'true', title: t('quiz.truth.true') },
  { value: 'false', title: t('quiz.truth.false') },
]);
const truth = computed(() => {
  const chosen = of('truth')?.chosen;
  return chosen == null ? null : String(chosen);
});
const share = (value: number): string => formatNumber(value, locale.value, { maximumFractionDigits: 2 });
/** Right, partly, wrong, or still to be looked at by staff. */
const verdict = computed(() => {
  const told = props.told;
  if (told === null) return null;
  if (told.isOpen) return 'open';
  if (told.isUnanswered) return 'nothing';
  return told.share === 1 ? 'right' : told.share === 0 ? 'wrong' : 'partly';
});
const SIGNS = {
  open: IconCircleDashed,
  nothing: IconX,
  wrong: IconX,
  right: IconCheck,
  partly: IconCircleDashed,
};
const verdictWords = computed(() => {
  const { told } = props;
  if (verdict.value === null || told === null) return '';
  const words = t(`quiz.verdict.${verdict.value}`);
  if (told.points === null || told.isOpen) return words;
  return t('quiz.verdict.points', { words, points: share(told.share * told.points), of: share(told.points) });
});
const whyOf = (id: string): string => props.told?.solution?.whys.find((one) => one.id === id)?.why ?? '';
const right = computed(() => {
  const solution = props.told?.solution;
  if (solution == null) return [];
  return solution.truth === null ? solution.right : [t(`quiz.truth.${String(solution.truth)}`)];
});
/** Where a picture to choose is had. */
type Choice = Extract<Open['questions'][number], { kind: 'single' | 'several' }>['choices'][number];
const pictureOf = ({ picture }: Choice): { src: string; alt: string } | undefined =>
  picture === null
    ? undefined
    : {
        src: path`/api/learn/${props.courseId}/items/${props.itemId}/quiz/pictures/${picture.hash}`,
        alt: picture.alt,
      };
const label = computed(() => t('quiz.answerTo', { number: props.number }));
</script>

<template>
  <AskedFrame
    class="question"
    :number="number"
    :text="question.text"
    :aria-describedby="isElsewhere ? `${question.id}-elsewhere` : undefined"
  >
    <template #worth>
      <span v-if="question.points !== null || question.required" class="soft worth">
        <template v-if="question.points !== null">
          {{ t('quiz.points', { points: share(question.points) }, question.points) }}
        </template>
        <template v-if="question.required">{{ t('quiz.required') }}</template>
      </span>
    </template>

    <ChoiceList
      v-if="question.kind === 'single'"
      :legend="label"
      legend-hidden
      :choices="question.choices.map((one) => ({ value: one.id, title: one.text, picture: pictureOf(one) }))"
      :chosen="of('single')?.chosen ?? null"
      :disabled="readonly"
      @choose="emit('answer', { kind: 'single', chosen: $event })"
    />
    <template v-else-if="question.kind === 'several'">
      <p class="soft">{{ t('quiz.severalHint') }}</p>
      <CheckField
        v-for="one in question.choices"
        :key="one.id"
        :checked="of('several')?.chosen.includes(one.id) === true"
        :disabled="readonly"
        @toggle="tick(one.id, $event)"
      >
        <span dir="auto" class="pictured">
          <img v-if="one.picture !== null" :src="pictureOf(one)?.src" :alt="one.picture.alt" />
          {{ one.text }}
        </span>
      </CheckField>
    </template>
    <ChoiceList
      v-else-if="question.kind === 'truth'"
      :legend="label"
      legend-hidden
      :choices="truths"
      :chosen="truth"
      :disabled="readonly"
      @choose="emit('answer', { kind: 'truth', chosen: $event === 'true' })"
    />
    <VTextField
      v-else-if="question.kind === 'short' || question.kind === 'number'"
      class="short"
      :model-value="text"
      :label="label"
      :maxlength="MOST_SHORT_ANSWER"
      :hint="
        question.kind === 'number' && question.units.length > 0
          ? t('quiz.withUnit', { units: question.units.join(', ') })
          : undefined
      "
      :persistent-hint="question.kind === 'number' && question.units.length > 0"
      :readonly="readonly"
      :dir="question.kind === 'number' ? 'ltr' : 'auto'"
      autocomplete="off"
      variant="outlined"
      density="comfortable"
      hide-details="auto"
      @update:model-value="write($event)"
    />
    <VTextarea
      v-else-if="question.kind === 'long'"
      :model-value="text"
      :label="label"
      :maxlength="MOST_LONG_ANSWER"
      :rows="5"
      auto-grow
      :readonly="readonly"
      dir="auto"
      variant="outlined"
      density="comfortable"
      hide-details="auto"
      @update:model-value="write($event)"
    />
    <ul v-else-if="question.kind === 'matching'" class="pairs">
      <li v-for="left in question.lefts" :key="left.id">
        <span dir="auto">{{ left.text }}</span>
        <SelectField
          :label="t('quiz.goesWith', { left: left.text })"
          bare
          :value="of('matching')?.placed[left.id] ?? ''"
          :options="[
            { value: '', title: t('quiz.choose') },
            ...question.rights.map((one) => ({ value: one.id, title: one.text })),
          ]"
          :disabled="readonly"
          @choose="place(left.id, $event)"
        />
      </li>
    </ul>
    <OrderAnswer
      v-else-if="question.kind === 'order'"
      :entries="question.entries"
      :placed="of('order')?.placed ?? null"
      :readonly="readonly"
      @place="emit('answer', { kind: 'order', placed: $event })"
    />

    <p v-if="isElsewhere" :id="`${question.id}-elsewhere`" class="elsewhere" role="alert">
      {{ t('quiz.elsewhere') }}
    </p>
    <p v-if="checkable">
      <PushButton small :disabled="!isAnswered(answer) || busy" @click="emit('check')">
        {{ t('quiz.check') }}
      </PushButton>
    </p>
    <div v-if="told !== null && verdict !== null" :class="['told', verdict]" role="status">
      <p class="verdict">
        <component :is="SIGNS[verdict]" :size="17" aria-hidden="true" /> {{ verdictWords }}
      </p>
      <p v-if="told.comment" dir="auto" class="words">{{ told.comment }}</p>
      <template v-if="right.length > 0">
        <p class="soft">{{ t('quiz.right', right.length) }}</p>
        <component :is="question.kind === 'order' ? 'ol' : 'ul'" class="right">
          <li v-for="(line, at) in right" :key="at" dir="auto">{{ line }}</li>
        </component>
      </template>
      <template v-if="'choices' in question">
        <template v-for="one in question.choices" :key="one.id">
          <p v-if="whyOf(one.id)" dir="auto">
            <strong>{{ one.text }}</strong> {{ whyOf(one.id) }}
          </p>
        </template>
      </template>
      <p v-if="told.solution?.why" dir="auto" class="words">{{ told.solution.why }}</p>
    </div>
  </AskedFrame>
</template>

<style scoped>
.worth {
  font-size: 14px;
}

.pictured img {
  display: block;
  max-width: min(320px, 100%);
  max-height: 220px;
  margin-block: 4px;
}

.short {
  max-width: 420px;
}

.pairs {
  display: grid;
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}

.pairs li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 10px;
  align-items: center;
  overflow-wrap: anywhere;
}

.elsewhere {
  padding-inline-start: 10px;
  border-inline-start: 4px solid var(--advice);
}

.told {
  display: grid;
  gap: 4px;
  padding: 8px 12px;
  border-inline-start: 4px solid var(--rule);
  background: var(--mist);
}

.told.right {
  border-color: var(--open);
}

.told.partly,
.told.open {
  border-color: var(--advice);
}

.told.wrong,
.told.nothing {
  border-color: var(--blocker);
}

.verdict {
  display: flex;
  gap: 6px;
  align-items: center;
  font-weight: 600;
}

.words {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}

ul.right,
ol.right {
  margin: 0;
  padding-inline-start: 20px;
}

@media (width <= 520px) {
  .worth {
    grid-column: 2;
  }

  .pairs li {
    grid-template-columns: minmax(0, 1fr);
    gap: 4px;
  }
}
</style>
