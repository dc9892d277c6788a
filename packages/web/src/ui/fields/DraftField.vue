<script setup lang="ts">
/** A field of words or figures that is kept as it is typed, and shows what is kept once it is left. */
import { computed } from 'vue';
import { VTextField } from 'vuetify/components/VTextField';
import { useDraft } from './reading/use-draft.ts';

const props = withDefaults(
  defineProps<{
    /** What is kept, written out. */
    text: string;
    label: string;
    readonly: boolean;
    /** Null: what is typed can be kept; else a sentence that says what is expected. Only the former is told. */
    wrong?: (typed: string) => string | null;
  }>(),
  { wrong: () => null },
);
/** Trimmed; empty when there is nothing. */
const emit = defineEmits<{ type: [text: string] }>();
const { draft, typed, left } = useDraft(
  () => props.text,
  (text) => {
    if (props.wrong(text) === null) emit('type', text);
  },
  (text) => props.wrong(text) !== null,
);
const errors = computed(() => {
  const sentence = props.wrong(draft.value.trim());
  return sentence === null ? [] : [sentence];
});
</script>

<template>
  <VTextField
    :model-value="draft"
    :label="label"
    :readonly="readonly"
    :error-messages="errors"
    @update:model-value="typed"
    @blur="left"
  />
</template>
