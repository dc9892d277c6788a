<script setup lang="ts">
/** The number that is right, by how much an answer may be off, and in which units it may be given. */
import { IconX } from '@tabler/icons-vue';
import { MAX_PARTS } from '@itinerary/core';
import type { PlannedQuestion } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import DraftField from '../../../ui/fields/DraftField.vue';
import NumberField from '../../../ui/fields/NumberField.vue';
import IconButton from '../../../ui/frame/IconButton.vue';
import PartField from './PartField.vue';
import { asPercent, fromPercent, usePartWords } from './part-words.ts';

type Numbered = Extract<PlannedQuestion, { kind: 'number' }>;
const props = defineProps<{ id: string; question: Numbered; readonly: boolean }>();
const emit = defineEmits<{ set: [question: PlannedQuestion, typing: boolean] }>();
const { t } = useI18n();
const { needed } = usePartWords();
const MOST = 1e15;
const MOST_UNIT = 40;

const put = (change: Partial<Numbered>, typing = false): void =>
  emit('set', { ...props.question, ...change }, typing);
function writeUnit(at: number, change: Partial<Numbered['units'][number]>, typing: boolean): void {
  put(
    { units: props.question.units.map((one, index) => (index === at ? { ...one, ...change } : one)) },
    typing,
  );
}
const OFF = ['absolute', 'share'] as const;
const isShare = (): boolean => props.question.tolerance.of === 'share';
/** Read anew as the other: what stands there is kept as a figure. */
function setOff(value: number): void {
  const { of } = props.question.tolerance;
  put({ tolerance: { of, value: of === 'share' ? fromPercent(value) : value } });
}
</script>

<template>
  <div class="number">
    <div class="three">
      <NumberField
        :label="t('setup.quiz.rightNumber')"
        :number="question.right"
        :least="-MOST"
        :most="MOST"
        fractions
        :readonly="readonly"
        @set="put({ right: $event })"
      />
      <NumberField
        :label="t('setup.quiz.off')"
        :number="isShare() ? asPercent(question.tolerance.value) : question.tolerance.value"
        :least="0"
        :most="MOST"
        fractions
        required
        :readonly="readonly"
        @set="setOff($event ?? 0)"
      />
      <SelectField
        :label="t('setup.quiz.off')"
        :value="question.tolerance.of"
        :options="OFF.map((value) => ({ value, title: t(`setup.quiz.offOf.${value}`) }))"
        :disabled="readonly"
        @choose="put({ tolerance: { ...question.tolerance, of: $event } })"
      />
    </div>
    <div v-for="(one, at) in question.units" :key="at" class="line">
      <DraftField
        :text="one.name"
        :most="MOST_UNIT"
        :label="t('setup.quiz.unit')"
        :readonly="readonly"
        :keep-as="`${id} unit ${at}`"
        :wrong="needed"
        dir="auto"
        @type="writeUnit(at, { name: $event }, true)"
      />
      <NumberField
        v-if="at > 0"
        :label="t('setup.quiz.factor')"
        :number="one.factor"
        :least="1e-12"
        :most="MOST"
        fractions
        required
        :readonly="readonly"
        @set="writeUnit(at, { factor: $event ?? 1 }, false)"
      />
      <span v-else />
      <IconButton
        v-if="!readonly"
        :icon="IconX"
        :label="t('setup.quiz.part', { text: one.name })"
        @click="put({ units: question.units.filter((_, index) => index !== at) })"
      />
    </div>
    <PartField
      v-if="question.units.length < MAX_PARTS"
      :label="t('setup.quiz.unit')"
      :hint="t('setup.quiz.anotherHint')"
      :most="MOST_UNIT"
      :readonly="readonly"
      @put="put({ units: [...question.units, { name: $event, factor: 1 }] })"
    />
  </div>
</template>

<style scoped>
.number {
  display: grid;
  gap: 8px;
}

.three {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 8px;
}

.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) 40px;
  gap: 8px;
  align-items: start;
}
</style>
