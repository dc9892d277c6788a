<script setup lang="ts">
/** One question: its words, its points, and what its kind asks for. */
import { MAX_ASKED, MAX_POINTS, MAX_WHY, QUESTION_KINDS, questionFault } from '@itinerary/core';
import type { AskedQuestion, PlannedQuestion, Quiz } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import ChoiceList from '../../../ui/fields/choice/ChoiceList.vue';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import DraftField from '../../../ui/fields/DraftField.vue';
import NumberField from '../../../ui/fields/NumberField.vue';
import ChoicesPart from './ChoicesPart.vue';
import MatchingPart from './MatchingPart.vue';
import NumberPart from './NumberPart.vue';
import OrderPart from './OrderPart.vue';
import ShortPart from './ShortPart.vue';
import { asPlanned } from './question-acts.ts';
import type { QuestionActs } from './question-acts.ts';
import { usePartWords } from './part-words.ts';

const props = defineProps<{
  question: AskedQuestion;
  number: number;
  pools: Quiz['pools'];
  acts: QuestionActs;
  readonly: boolean;
}>();
const { t } = useI18n();
const { needed, credits } = usePartWords();
const words = ref<{ focus: () => void } | null>(null);
defineExpose({ focus: () => words.value?.focus() });

const planned = computed(() => asPlanned(props.question));
const put = (question: PlannedQuestion, typing = false): void =>
  props.acts.set(props.question.id, question, typing);
const change = (values: Partial<PlannedQuestion>, typing = false): void =>
  put({ ...planned.value, ...values } as PlannedQuestion, typing);
const fault = computed(() => questionFault(planned.value));
const kinds = computed(() =>
  QUESTION_KINDS.map((value) => ({ value, title: t(`setup.quiz.kinds.${value}`) })),
);
const EVERYBODY = '';
const asked = computed(() => [
  { value: EVERYBODY, title: t('setup.quiz.everybody') },
  ...Object.entries(props.pools).map(([value, { name }]) => ({ value, title: name })),
]);
const truths = computed(() => [
  { value: 'true', title: t('setup.quiz.truth.true') },
  { value: 'false', title: t('setup.quiz.truth.false') },
]);
</script>

<template>
  <section class="editor" :aria-label="t('setup.quiz.number', { number })">
    <DraftField
      ref="words"
      :text="question.text"
      :rows="2"
      :most="MAX_ASKED"
      :label="t('setup.quiz.text')"
      :readonly="readonly"
      :keep-as="`${question.id} text`"
      :wrong="needed"
      dir="auto"
      @type="change({ text: $event }, true)"
    />
    <div class="row">
      <SelectField
        :label="t('setup.quiz.kind')"
        :value="question.kind"
        :options="kinds"
        :disabled="readonly"
        @choose="acts.become(question, $event)"
      />
      <NumberField
        :label="t('setup.quiz.pointsField')"
        :number="question.points"
        :least="0"
        :most="MAX_POINTS"
        fractions
        required
        :readonly="readonly"
        @set="change({ points: $event ?? 0 })"
      />
      <SelectField
        v-if="asked.length > 1"
        :label="t('setup.quiz.pool')"
        :value="question.pool !== null && question.pool in pools ? question.pool : EVERYBODY"
        :options="asked"
        :disabled="readonly"
        @choose="change({ pool: $event === EVERYBODY ? null : $event })"
      />
    </div>
    <ChoicesPart
      v-if="planned.kind === 'single' || planned.kind === 'several'"
      :id="question.id"
      :question="planned"
      :readonly="readonly"
      :give="(choice, picture) => acts.picture(question.id, choice, picture)"
      @set="put"
    />
    <SelectField
      v-if="planned.kind === 'several'"
      :label="t('setup.quiz.credit')"
      :value="planned.credit"
      :options="credits"
      :disabled="readonly"
      @choose="change({ credit: $event })"
    />
    <ChoiceList
      v-else-if="planned.kind === 'truth'"
      :legend="t('setup.quiz.rightIs')"
      :choices="truths"
      :chosen="planned.right === null ? null : String(planned.right)"
      :disabled="readonly"
      @choose="change({ right: $event === 'true' })"
    />
    <ShortPart
      v-else-if="planned.kind === 'short'"
      :id="question.id"
      :question="planned"
      :readonly="readonly"
      @set="put"
    />
    <NumberPart
      v-else-if="planned.kind === 'number'"
      :id="question.id"
      :question="planned"
      :readonly="readonly"
      @set="put"
    />
    <MatchingPart
      v-else-if="planned.kind === 'matching'"
      :id="question.id"
      :question="planned"
      :readonly="readonly"
      @set="put"
    />
    <OrderPart
      v-else-if="planned.kind === 'order'"
      :id="question.id"
      :question="planned"
      :readonly="readonly"
      @set="put"
    />
    <p v-else-if="planned.kind === 'long'" class="soft">{{ t('setup.quiz.longHint') }}</p>
    <p v-if="fault !== null" class="fault" role="status">{{ t(`setup.quiz.faults.${fault}`) }}</p>
    <DraftField
      :text="question.why"
      :rows="2"
      :most="MAX_WHY"
      :label="t('setup.quiz.why')"
      :readonly="readonly"
      :keep-as="`${question.id} why`"
      dir="auto"
      @type="change({ why: $event }, true)"
    />
    <CheckField :checked="question.required" :disabled="readonly" @toggle="change({ required: $event })">
      {{ t('setup.quiz.required') }}
    </CheckField>
  </section>
</template>

<style scoped>
.editor {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  align-content: start;
}

.row {
  display: grid;
  grid-template-columns: minmax(0, 2fr) 110px minmax(0, 2fr);
  gap: 10px;
}

.fault {
  padding-inline-start: 10px;
  border-inline-start: 4px solid var(--advice);
}

@media (width <= 700px) {
  .row {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
