<script setup lang="ts">
/** The minutes of a line, typed as people type how long something takes. */
import { MAX_MINUTES, readDuration } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { typedIn } from '../../../ui/fields/reading/typed-in.ts';
import { useTyped } from '../../../ui/fields/reading/use-typed.ts';

const props = defineProps<{ minutes: number | null; label: string; readonly: boolean }>();
const emit = defineEmits<{ typed: [minutes: number | null] }>();
const { locale } = useI18n();
const { shown, sentence, type, leave } = useTyped<number>({
  value: () => props.minutes,
  read: (text) => readDuration(text, { least: 0, most: MAX_MINUTES }, typedIn(locale.value)),
  // Under its heading, minutes are figures alone.
  write: String,
  take: (minutes) => emit('typed', minutes),
});
</script>

<template>
  <input
    class="minutes-cell figures"
    :value="shown"
    :aria-label="sentence === null ? label : `${label}. ${sentence}`"
    :aria-invalid="sentence !== null"
    :title="sentence ?? undefined"
    :readonly="readonly"
    placeholder="–"
    data-cell="minutes"
    @input="type(($event.target as HTMLInputElement).value)"
    @blur="leave"
    @keydown.enter="leave"
  />
</template>

<style scoped>
.minutes-cell {
  width: 58px;
  min-height: 28px;
  padding: 0 6px;
  border: 1px solid transparent;
  border-radius: 4px;
  background: none;
  text-align: end;
}

.minutes-cell[aria-invalid='true'] {
  border-color: var(--blocker);
  background: var(--blocker-pale);
}

.minutes-cell::placeholder {
  color: var(--ink-soft);
  opacity: 1;
}

.minutes-cell:hover:not([readonly]) {
  border-color: var(--field-rule);
}

.minutes-cell:focus {
  border-color: var(--bottle);
  outline: 1px solid var(--bottle);
  background: var(--card);
}
</style>
