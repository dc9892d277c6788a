<script setup lang="ts">
import { useDraft } from '../../../ui/fields/reading/use-draft.ts';

const props = defineProps<{
  /** Empty when the title follows the dates. */ title: string;
  placeholder: string;
  label: string;
  strong: boolean;
  readonly: boolean;
  mayBeEmpty: boolean;
}>();
const emit = defineEmits<{ typed: [title: string]; next: [event: KeyboardEvent] }>();
const { draft, typed, left } = useDraft(
  () => props.title,
  (text) => {
    if (text !== '' || props.mayBeEmpty) emit('typed', text);
  },
);
</script>

<template>
  <input
    :class="['title-cell', { strong }]"
    :value="draft"
    :placeholder="placeholder"
    :aria-label="label"
    :readonly="readonly"
    maxlength="200"
    data-cell="title"
    @input="typed(($event.target as HTMLInputElement).value)"
    @blur="left"
    @keydown.enter.prevent="emit('next', $event)"
  />
</template>

<style scoped>
.title-cell {
  width: 100%;
  min-height: 28px;
  padding: 0 6px;
  border: 1px solid transparent;
  border-radius: 4px;
  background: none;
  text-overflow: ellipsis;
}

.title-cell.strong {
  font-family: var(--font-heading);
  font-size: 15.5px;
  font-weight: 650;
}

.title-cell::placeholder {
  color: var(--ink-soft);
  font-weight: 500;
  opacity: 1;
}

.title-cell:hover:not([readonly]) {
  border-color: var(--field-rule);
}

.title-cell:focus {
  border-color: var(--bottle);
  outline: 1px solid var(--bottle);
  background: var(--card);
}
</style>
