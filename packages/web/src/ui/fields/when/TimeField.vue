<script setup lang="ts">
/** A time of day, of twenty-four hours; or none. */
import { readTime } from '@itinerary/core';
import { orExpected } from '../reading/expected.ts';
import TypedField from '../TypedField.vue';

const props = withDefaults(
  defineProps<{
    time: string | null;
    /** It has to be one: nothing is not taken. */
    required?: boolean;
    label: string;
  }>(),
  { required: false },
);
const emit = defineEmits<{ set: [time: string | null] }>();

function read(text: string): ReturnType<typeof readTime> {
  return orExpected(readTime(text), props.required, { code: 'time' });
}
</script>

<template>
  <TypedField
    :value="time"
    :read="read"
    :write="(value: string) => value"
    :label="label"
    @set="emit('set', $event)"
  />
</template>
