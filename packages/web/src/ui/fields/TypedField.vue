<script setup lang="ts" generic="Value">
/** A field of one line whose value is read from what is typed. Numbers, days and the rest stand on it. */
import type { Reading } from '@itinerary/core';
import { computed, ref } from 'vue';
import { VTextField } from 'vuetify/components/VTextField';
import { useTyped } from './reading/use-typed.ts';

defineOptions({ inheritAttrs: false });
const props = withDefaults(
  defineProps<{
    value: Value | null;
    read: (text: string) => Reading<Value | null>;
    write: (value: Value) => string;
    label: string;
    /** What is said below it while nothing is wrong. */
    hint?: string;
    /** What is wrong with the value that stands. */
    wrong?: string | null;
    /** What would be wrong with another. */
    check?: (value: Value | null) => string | null;
    readonly?: boolean;
    /** In a form that is sent as a whole. */
    live?: boolean;
    /** What is refused outlives the field: it is there again when one comes back to the stop. */
    keeps?: boolean;
    name?: string;
    /** It stands in a row of others: what it is called is told, not shown. */
    bare?: boolean;
  }>(),
  { hint: '', wrong: null, check: () => null, readonly: false, live: false, keeps: false, bare: false },
);
const emit = defineEmits<{ set: [value: Value | null] }>();

const { shown, sentence, reading, type, leave } = useTyped<Value>({
  value: () => props.value,
  read: (text) => props.read(text),
  write: (value) => props.write(value),
  take: (value) => emit('set', value),
  check: (value) => props.check(value),
  live: () => props.live,
  keepAs: () => (props.keeps ? props.name : undefined),
});
const errors = computed(() => {
  const said = sentence.value ?? props.wrong;
  return said === null ? [] : [said];
});
const field = ref<{ focus: () => void } | null>(null);
defineExpose({ focus: () => field.value?.focus(), reading });
</script>

<template>
  <VTextField
    ref="field"
    v-bind="$attrs"
    class="figures-field"
    autocomplete="off"
    :name="name"
    :model-value="shown"
    :label="bare ? undefined : label"
    :aria-label="bare ? label : undefined"
    :density="bare ? 'compact' : 'comfortable'"
    :readonly="readonly"
    :hint="hint"
    persistent-hint
    :error-messages="errors"
    :aria-invalid="errors.length > 0"
    @update:model-value="type(String($event ?? ''))"
    @blur="leave"
    @keydown.enter="leave"
  >
    <template v-for="(_, slot) in $slots" :key="slot" #[slot]>
      <slot :name="slot" />
    </template>
  </VTextField>
</template>
