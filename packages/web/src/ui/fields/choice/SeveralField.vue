<script setup lang="ts" generic="Value extends string | number">
/** Choosing several of some: a list that unfolds, in which each is ticked, and what is chosen stands in the field. */
import { computed } from 'vue';
import { VSelect } from 'vuetify/components/VSelect';
import type { SelectOption } from './select-option.ts';

const props = defineProps<{
  label: string;
  values: readonly Value[];
  options: readonly SelectOption<Value>[];
  readonly?: boolean;
  hint?: string;
  /** Each on a ground of its own, where their words are long. */
  chips?: boolean;
  /** So many have to stay. */
  least?: number;
}>();
/** In the order of the list. */
const emit = defineEmits<{ choose: [values: Value[]] }>();

/** What is no longer there to choose is not chosen either. */
const known = computed(() =>
  props.options.flatMap(({ value }) => (props.values.includes(value) ? [value] : [])),
);

function choose(next: readonly Value[]): void {
  const values = props.options.flatMap(({ value }) => (next.includes(value) ? [value] : []));
  if (values.length >= (props.least ?? 0)) emit('choose', values);
}
</script>

<template>
  <VSelect
    :model-value="known"
    :items="[...options]"
    :label="label"
    :hint="hint ?? ''"
    :persistent-hint="hint !== undefined"
    multiple
    :chips="chips"
    :readonly="readonly"
    @update:model-value="choose"
  />
</template>
