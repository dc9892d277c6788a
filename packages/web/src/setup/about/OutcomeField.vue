<script setup lang="ts">
import { useDraft } from '../../ui/fields/reading/use-draft.ts';

const props = defineProps<{ text: string; label: string; readonly: boolean }>();
const emit = defineEmits<{ typed: [text: string] }>();
const { draft, typed, left } = useDraft(
  () => props.text,
  (text) => emit('typed', text),
);
</script>

<template>
  <input
    class="outcome"
    :value="draft"
    :aria-label="label"
    :readonly="readonly"
    maxlength="300"
    @input="typed(($event.target as HTMLInputElement).value)"
    @blur="left"
  />
</template>

<style scoped>
.outcome {
  width: 100%;
  min-height: 30px;
  padding: 0 6px;
  border: 1px solid transparent;
  border-radius: 4px;
  background: none;
}

.outcome:hover:not([readonly]) {
  border-color: var(--field-rule);
}

.outcome:focus {
  border-color: var(--bottle);
  outline: 1px solid var(--bottle);
}
</style>
