<script setup lang="ts" generic="Value extends string | number | null">
/** Choosing one of some that are too many for tiles: a list that unfolds, with its label above or only told. */
import { computed, useId } from 'vue';
import type { SelectOption } from './select-option.ts';

const props = defineProps<{
  label: string;
  value: Value;
  options: readonly SelectOption<Value>[];
  disabled?: boolean;
  /** What stands beside it says what it is: the label is told to whoever cannot see that. */
  bare?: boolean;
  small?: boolean;
  /** So many lines are seen at once, instead of one that unfolds. */
  lines?: number;
}>();
const emit = defineEmits<{ choose: [value: Value] }>();

const id = useId();
const text = (value: Value): string => (value === null ? '' : String(value));
const alone = computed(() => props.options.filter(({ group }) => group === undefined));
const groups = computed(() => [...new Set(props.options.flatMap(({ group }) => group ?? []))]);

function choose(event: Event): void {
  const said = (event.target as HTMLSelectElement).value;
  const option = props.options.find(({ value }) => text(value) === said);
  if (option !== undefined) emit('choose', option.value);
}
</script>

<template>
  <!-- Beside each other: a label around the list would be called by all that it offers as well. -->
  <div class="select">
    <label :for="id" :class="bare ? 'visually-hidden' : 'soft'">{{ label }}</label>
    <select
      :id="id"
      class="input"
      :class="{ small }"
      :value="text(value)"
      :disabled="disabled"
      :size="lines"
      @change="choose"
    >
      <option
        v-for="option in alone"
        :key="text(option.value)"
        :value="text(option.value)"
        :disabled="option.disabled"
      >
        {{ option.title }}
      </option>
      <optgroup v-for="group in groups" :key="group" :label="group">
        <option
          v-for="option in options.filter((one) => one.group === group)"
          :key="text(option.value)"
          :value="text(option.value)"
          :disabled="option.disabled"
        >
          {{ option.title }}
        </option>
      </optgroup>
    </select>
  </div>
</template>

<style scoped>
.select {
  display: grid;
  gap: 2px;
  min-width: 0;
}

.soft {
  font-size: 12.5px;
}

select {
  max-width: 100%;
  text-overflow: ellipsis;
}

select[size] {
  padding-block: 4px;
}
</style>
