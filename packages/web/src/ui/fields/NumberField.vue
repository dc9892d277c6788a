<script setup lang="ts">
/** A number within bounds, or none. */
import { readNumber, writeNumber } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { orExpected } from './reading/expected.ts';
import TypedField from './TypedField.vue';
import { typedIn } from './reading/typed-in.ts';

const props = withDefaults(
  defineProps<{
    number: number | null;
    least: number;
    most: number;
    /** Parts of one are taken too, with the reader's decimal sign. */
    fractions?: boolean;
    /** It has to be one: nothing is not taken. */
    required?: boolean;
    label: string;
  }>(),
  { fractions: false, required: false },
);
const emit = defineEmits<{ set: [number: number | null] }>();
const { locale } = useI18n();

function read(text: string): ReturnType<typeof readNumber> {
  const { least, most, fractions, required } = props;
  const got = readNumber(text, { least, most, fractions }, typedIn(locale.value));
  return orExpected(got, required, { code: fractions ? 'number' : 'whole', least, most });
}
</script>

<template>
  <TypedField
    :inputmode="fractions ? 'decimal' : 'numeric'"
    :value="number"
    :read="read"
    :write="(value) => writeNumber(value, typedIn(locale))"
    :label="label"
    @set="emit('set', $event)"
  />
</template>
