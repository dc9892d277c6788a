<script setup lang="ts" generic="Value extends string | number | null">
/** Choosing one of some that are too many for tiles: a list that unfolds, with its label above or only told. */
import { computed } from 'vue';
import { VSelect } from 'vuetify/components/VSelect';
import type { SelectOption } from './select-option.ts';

defineOptions({ inheritAttrs: false });
const props = defineProps<{
  label: string;
  value: Value;
  options: readonly SelectOption<Value>[];
  disabled?: boolean;
  /** What stands beside it says what it is: the label is told to whoever cannot see that. */
  bare?: boolean;
  /** As high as what stands in a row of a table. */
  small?: boolean;
}>();
const emit = defineEmits<{ choose: [value: Value] }>();

/** The library takes null for nothing chosen, where it is a choice here: "any weekday". */
const NOTHING = '\u0000';
const keyOf = (value: Value): string | number => value ?? NOTHING;

const line = ({ value, title, disabled }: SelectOption<Value>): object => ({
  value: keyOf(value),
  title,
  props: disabled === true ? { disabled: true } : {},
});
/**
 * What stands alone, then each group under its heading: the same array for the same lines, whoever makes them anew with
 * every drawing. With other ones the library builds an open list up again, and a press that falls in between is lost.
 */
const items = computed<readonly object[]>((before) => {
  const groups = [...new Set(props.options.flatMap(({ group }) => group ?? []))];
  const now = [
    ...props.options.filter(({ group }) => group === undefined).map(line),
    ...groups.flatMap((group) => [
      { type: 'subheader', title: group },
      ...props.options.filter((one) => one.group === group).map(line),
    ]),
  ];
  return before !== undefined && JSON.stringify(before) === JSON.stringify(now) ? before : now;
});

function choose(key: unknown): void {
  const option = props.options.find(({ value }) => keyOf(value) === key);
  if (option !== undefined && option.value !== props.value) emit('choose', option.value);
}
</script>

<template>
  <VSelect
    v-bind="$attrs"
    :class="['select', { small }]"
    :model-value="keyOf(value)"
    :items="items"
    :label="bare ? undefined : label"
    :aria-label="bare ? label : undefined"
    :density="bare || small ? 'compact' : 'comfortable'"
    :disabled="disabled ?? false"
    hide-details
    @update:model-value="choose"
  />
</template>

<style scoped>
/* Whoever places it says otherwise with a single class. */
:where(.select) {
  flex: 0 1 auto;
  min-width: 120px;
}

.small {
  min-width: 104px;
  font-size: 13px;
}
</style>
