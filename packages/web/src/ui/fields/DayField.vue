<script setup lang="ts">
/** A day: typed or picked, and written out below, since browsers differ in the order of day and month. */
import { isRealDay } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import { formatDay } from '../../words/dates.ts';

const props = defineProps<{
  day: string | null;
  label: string;
  name: string;
  readonly?: boolean;
  /** What is wrong with the day that stands there. */
  wrong?: string | null;
  /** What would be wrong with a day that is typed: such a day is not reported. */
  check?: (day: string) => string | null;
  /** Reported when the field is left or Enter is pressed, rather than with every key. */
  settles?: boolean;
}>();
const emit = defineEmits<{ day: [day: string | null] }>();
const { t, locale } = useI18n();
const typed = ref(props.day ?? '');
watch(
  () => props.day,
  (now) => (typed.value = now ?? ''),
);
/** A year is typed digit by digit: what is not yet one is nobody's day. */
const isDay = (value: string): boolean => value === '' || (isRealDay(value) && value > '1990');

/** What is to be said of what stands in the field. */
const sentence = computed(() => {
  if (!isDay(typed.value)) return t('common.dayWrong');
  const here = typed.value === (props.day ?? '') ? null : (props.check?.(typed.value) ?? null);
  return here ?? props.wrong ?? null;
});
const mayReport = (): boolean =>
  isDay(typed.value) && (typed.value === '' || (props.check?.(typed.value) ?? null) === null);

function report(): void {
  if (!mayReport()) return;
  const next = typed.value === '' ? null : typed.value;
  if (next !== props.day) emit('day', next);
}

function type(value: string): void {
  typed.value = value;
  if (props.settles !== true) report();
}

function left(): void {
  if (!mayReport()) typed.value = props.day ?? '';
  report();
}

defineExpose({ reset: () => (typed.value = props.day ?? '') });
</script>

<template>
  <div class="day-field">
    <VTextField
      class="figures-field"
      type="date"
      :name="name"
      :model-value="typed"
      :label="label"
      :readonly="readonly ?? false"
      :hint="isDay(typed) && typed !== '' ? formatDay(typed, locale, { today: '0000' }) : ''"
      persistent-hint
      :error-messages="sentence === null ? [] : [sentence]"
      @update:model-value="type(String($event ?? ''))"
      @blur="left"
      @keydown.enter="left"
    />
    <button
      v-if="settles && mayReport() && typed !== (day ?? '')"
      class="button small"
      type="button"
      @click="left"
    >
      {{ t('common.seeWhatMoves') }}
    </button>
  </div>
</template>

<style scoped>
.day-field {
  display: grid;
  gap: 4px;
  justify-items: start;
}

.figures-field {
  width: 100%;
}
</style>
