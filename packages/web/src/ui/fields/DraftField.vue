<script setup lang="ts">
/** A field of words that is kept as it is typed, and shows what is kept once it is left. With `rows`, of several lines. */
import { computed, ref } from 'vue';
import { VTextarea } from 'vuetify/components/VTextarea';
import { VTextField } from 'vuetify/components/VTextField';
import { isNear, useTooLong } from './reading/limits.ts';
import { useRefusals } from './reading/refusals.ts';
import { useDraft } from './reading/use-draft.ts';

const props = withDefaults(
  defineProps<{
    /** What is kept, written out. */
    text: string;
    label: string;
    readonly?: boolean;
    /** Null: what is typed can be kept; else a sentence that says what is expected. Only the former is told. */
    wrong?: (typed: string) => string | null;
    /** In characters. */
    most?: number;
    rows?: number;
    /** Under this name, what could not be kept is there again when one comes back. */
    keepAs?: string;
  }>(),
  { readonly: false, wrong: () => null },
);
/** Trimmed; empty when there is nothing. */
const emit = defineEmits<{ type: [text: string] }>();
const tooLong = useTooLong();
const wrongOf = (text: string): string | null => tooLong(text, props.most) ?? props.wrong(text);
const { draft, typed, left } = useDraft(
  () => props.text,
  (text) => emit('type', text),
  { isWrong: (text) => wrongOf(text) !== null, keepAs: () => props.keepAs },
);
const errors = computed(() => {
  const sentence = wrongOf(draft.value.trim());
  return sentence === null ? [] : [sentence];
});
useRefusals(() => errors.value.length > 0);
const room = computed(() => (isNear(draft.value, props.most) ? { counter: props.most ?? false } : {}));
const shape = computed(() =>
  props.rows === undefined
    ? {}
    : ({ rows: props.rows, autoGrow: true, variant: 'outlined', density: 'comfortable' } as const),
);
const field = ref<{ focus: () => void } | null>(null);
defineExpose({ focus: () => field.value?.focus() });
</script>

<template>
  <component
    :is="rows === undefined ? VTextField : VTextarea"
    ref="field"
    v-bind="{ ...shape, ...room }"
    :model-value="draft"
    :label="label"
    :readonly="readonly"
    :error-messages="errors"
    :aria-invalid="errors.length > 0"
    hide-details="auto"
    @update:model-value="typed(String($event ?? ''))"
    @blur="left"
  />
</template>
