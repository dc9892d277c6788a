<script setup lang="ts">
/** How long something takes, in minutes; typed as people do, and shown in hours and minutes. */
import { readDuration } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { formatMinutes } from '../../../words/dates.ts';
import { orExpected } from '../reading/expected.ts';
import TypedField from '../TypedField.vue';
import { typedIn } from '../reading/typed-in.ts';

const props = withDefaults(
  defineProps<{
    minutes: number | null;
    least?: number;
    most: number;
    /** It has to be one: nothing is not taken. */
    required?: boolean;
    label: string;
  }>(),
  { least: 0, required: false },
);
const emit = defineEmits<{ set: [minutes: number | null] }>();
const { locale } = useI18n();

function read(text: string): ReturnType<typeof readDuration> {
  const { least, most, required } = props;
  const got = readDuration(text, { least, most }, typedIn(locale.value));
  return orExpected(got, required, { code: 'duration', least, most });
}
</script>

<template>
  <TypedField
    :value="minutes"
    :read="read"
    :write="(value) => formatMinutes(value, locale)"
    :label="label"
    @set="emit('set', $event)"
  />
</template>
