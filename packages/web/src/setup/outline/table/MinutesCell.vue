<script setup lang="ts">
import { useDraft } from '../../fields/use-draft.ts';

const props = defineProps<{ minutes: number | null; label: string; readonly: boolean }>();
const emit = defineEmits<{ typed: [minutes: number | null] }>();
const MOST = 10_000;
const { draft, typed, left } = useDraft(
  () => (props.minutes === null ? '' : String(props.minutes)),
  (text) => {
    if (text === '') emit('typed', null);
    else if (/^\d+$/.test(text) && Number(text) <= MOST) emit('typed', Number(text));
  },
);
</script>

<template>
  <input
    class="minutes-cell figures"
    :value="draft"
    inputmode="numeric"
    maxlength="5"
    :aria-label="label"
    :readonly="readonly"
    placeholder="–"
    data-cell="minutes"
    @input="typed(($event.target as HTMLInputElement).value)"
    @blur="left"
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
