<script setup lang="ts">
/** Words that are accepted as an answer, how closely they are read, and what becomes of all others. */
import { IconX } from '@tabler/icons-vue';
import { MAX_PART, MAX_PARTS } from '@itinerary/core';
import type { PlannedQuestion } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import DraftField from '../../../ui/fields/DraftField.vue';
import NumberField from '../../../ui/fields/NumberField.vue';
import IconButton from '../../../ui/frame/IconButton.vue';
import PartField from './PartField.vue';
import { asPercent, fromPercent, usePartWords } from './part-words.ts';

type Short = Extract<PlannedQuestion, { kind: 'short' }>;
const props = defineProps<{ id: string; question: Short; readonly: boolean }>();
const emit = defineEmits<{ set: [question: PlannedQuestion, typing: boolean] }>();
const { t } = useI18n();
const { needed } = usePartWords();

function write(at: number, change: Partial<Short['accepted'][number]>, typing: boolean): void {
  const accepted = props.question.accepted.map((one, index) => (index === at ? { ...one, ...change } : one));
  emit('set', { ...props.question, accepted }, typing);
}
const put = (change: Partial<Short>): void => emit('set', { ...props.question, ...change }, false);
const OTHERWISE = ['wrong', 'staff'] as const;
</script>

<template>
  <div class="short">
    <div v-for="(one, at) in question.accepted" :key="at" class="line">
      <DraftField
        :text="one.text"
        :most="MAX_PART"
        :label="t('setup.quiz.accepted')"
        :readonly="readonly"
        :keep-as="`${id} accepted ${at}`"
        :wrong="needed"
        dir="auto"
        @type="write(at, { text: $event }, true)"
      />
      <NumberField
        :label="t('setup.quiz.share')"
        :number="asPercent(one.share)"
        :least="0"
        :most="100"
        required
        :readonly="readonly"
        @set="write(at, { share: fromPercent($event ?? 0) }, false)"
      />
      <IconButton
        v-if="!readonly"
        :icon="IconX"
        :label="t('setup.quiz.part', { text: one.text })"
        @click="put({ accepted: question.accepted.filter((_, index) => index !== at) })"
      />
    </div>
    <PartField
      v-if="question.accepted.length < MAX_PARTS"
      :label="t('setup.quiz.accepted')"
      :hint="t('setup.quiz.anotherHint')"
      :most="MAX_PART"
      :readonly="readonly"
      @put="put({ accepted: [...question.accepted, { text: $event, share: 1 }] })"
    />
    <CheckField
      :checked="question.folds.case"
      :disabled="readonly"
      @toggle="put({ folds: { ...question.folds, case: $event } })"
    >
      {{ t('setup.quiz.foldsCase') }}
    </CheckField>
    <CheckField
      :checked="question.folds.accents"
      :disabled="readonly"
      @toggle="put({ folds: { ...question.folds, accents: $event } })"
    >
      {{ t('setup.quiz.foldsAccents') }}
    </CheckField>
    <SelectField
      :label="t('setup.quiz.otherwise')"
      :value="question.otherwise"
      :options="OTHERWISE.map((value) => ({ value, title: t(`setup.quiz.otherwiseOf.${value}`) }))"
      :disabled="readonly"
      @choose="put({ otherwise: $event })"
    />
  </div>
</template>

<style scoped>
.short {
  display: grid;
  gap: 8px;
}

.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 120px 40px;
  gap: 8px;
  align-items: start;
}
</style>
