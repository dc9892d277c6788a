<script setup lang="ts">
/** One question of a survey. None has to be answered. */
import type { OwnSurvey } from '@itinerary/contract';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { VRadio } from 'vuetify/components/VRadio';
import { VRadioGroup } from 'vuetify/components/VRadioGroup';
import { VTextarea } from 'vuetify/components/VTextarea';
import { MOST_SURVEY_TEXT } from '../../../stores/limits.ts';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import ChoiceList from '../../../ui/fields/choice/ChoiceList.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import AskedFrame from '../AskedFrame.vue';
import type { Answer } from './use-survey.ts';

const props = defineProps<{
  ask: OwnSurvey['asks'][number];
  number: number;
  answer: Answer | undefined;
  readonly: boolean;
}>();
const emit = defineEmits<{ answer: [answer: Answer | null] }>();
const { t } = useI18n();

const step = computed(() => (props.answer?.kind === 'scale' ? props.answer.step : null));
const choice = computed(() => (props.answer?.kind === 'single' ? props.answer.choice : null));
const chosen = computed(() => (props.answer?.kind === 'several' ? props.answer.choices : []));
const text = computed(() => (props.answer?.kind === 'open' ? props.answer.text : ''));
const label = computed(() => t('survey.answerTo', { number: props.number }));
function tick(id: string, on: boolean): void {
  const others = chosen.value.filter((one) => one !== id);
  emit('answer', { kind: 'several', choices: on ? [...others, id] : others });
}
</script>

<template>
  <AskedFrame class="ask" :number="number" :text="ask.text">
    <p v-if="ask.kind === 'scale' && (ask.low || ask.high)" class="ends soft">
      <span
        ><span class="figures">1</span> <span dir="auto">{{ ask.low }}</span></span
      >
      <span
        ><span class="figures">{{ ask.steps }}</span> <span dir="auto">{{ ask.high }}</span></span
      >
    </p>
    <VRadioGroup
      v-if="ask.kind === 'scale'"
      class="scale"
      :model-value="step"
      :disabled="readonly"
      color="primary"
      inline
      hide-details
      @update:model-value="$event && emit('answer', { kind: 'scale', step: Number($event) })"
    >
      <template #label>
        <span class="visually-hidden">{{ label }}</span>
      </template>
      <VRadio v-for="one in ask.steps" :key="one" :value="one">
        <template #label
          ><span class="figures">{{ one }}</span></template
        >
      </VRadio>
    </VRadioGroup>
    <ChoiceList
      v-else-if="ask.kind === 'single'"
      :legend="label"
      legend-hidden
      :choices="ask.choices.map((one) => ({ value: one.id, title: one.text }))"
      :chosen="choice"
      :disabled="readonly"
      @choose="emit('answer', { kind: 'single', choice: $event })"
    />
    <template v-else-if="ask.kind === 'several'">
      <CheckField
        v-for="one in ask.choices"
        :key="one.id"
        :checked="chosen.includes(one.id)"
        :disabled="readonly"
        @toggle="tick(one.id, $event)"
      >
        <span dir="auto">{{ one.text }}</span>
      </CheckField>
    </template>
    <VTextarea
      v-else
      :model-value="text"
      :label="label"
      :maxlength="MOST_SURVEY_TEXT"
      :rows="3"
      auto-grow
      :readonly="readonly"
      dir="auto"
      variant="outlined"
      density="comfortable"
      hide-details="auto"
      @update:model-value="emit('answer', { kind: 'open', text: $event })"
    />
    <p v-if="!readonly && (step !== null || choice !== null)">
      <PushButton small weight="bare" @click="emit('answer', null)">{{ t('survey.takeBack') }}</PushButton>
    </p>
  </AskedFrame>
</template>

<style scoped>
.ends,
.scale {
  max-width: 460px;
}

.ends {
  display: flex;
  gap: 16px;
  justify-content: space-between;
  font-size: 14px;
}

.scale :deep(.v-selection-control-group) {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(56px, 1fr));
}

/* The library gives each of them the same place. */
.scale :deep(.v-selection-control) {
  grid-area: auto;
}
</style>
