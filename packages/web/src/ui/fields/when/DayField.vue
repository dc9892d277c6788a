<script setup lang="ts">
/** A day: typed as people do, or picked from a month. Below it stands what day that is. */
import { readDay } from '@itinerary/core';
import type { Reading } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDay } from '../../../words/dates.ts';
import { readingFrom, useCourseDays, writtenAgain } from './day-context.ts';
import PickDay from './PickDay.vue';
import { orExpected } from '../reading/expected.ts';
import TypedField from '../TypedField.vue';
import { typedIn } from '../reading/typed-in.ts';

defineOptions({ inheritAttrs: false });
const props = withDefaults(
  defineProps<{
    day: string | null;
    label: string;
    name: string;
    readonly?: boolean;
    /** What is wrong with the day that stands there. */
    wrong?: string | null;
    /** What would be wrong with another: such a day is not taken. */
    check?: (day: string) => string | null;
    /** It has to be one: nothing is not taken. */
    required?: boolean;
    /** What is said below it, while nothing else is. */
    hint?: string;
    /** A day that is past is likely a mistake here. */
    warnsOfPast?: boolean;
    /** Without its weekday, where there is little room. */
    short?: boolean;
  }>(),
  {
    readonly: false,
    wrong: null,
    check: () => null,
    required: false,
    hint: '',
    warnsOfPast: false,
    short: false,
  },
);
const emit = defineEmits<{ day: [day: string | null] }>();
const { t, locale } = useI18n();
const days = useCourseDays();
const field = ref<{ focus: () => void; reading: unknown } | null>(null);

function readAny(text: string): Reading<string | null> {
  return readDay(text, typedIn(locale.value), readingFrom(days(), props.day));
}

function read(text: string): Reading<string | null> {
  return orExpected(readAny(text), props.required, { code: 'day' });
}

function write(day: string): string {
  const words = (today: string): string => formatDay(day, locale.value, { today, weekday: !props.short });
  return writtenAgain(words, days(), (brief) => {
    const again = readAny(brief);
    return again.ok && again.value === day;
  });
}

/** What day it is that is being typed; a day that is past says so. */
const said = computed(() => {
  const typed = field.value?.reading;
  const day = typeof typed === 'string' ? typed : props.day;
  if (day === null) return props.hint;
  const long = formatDay(day, locale.value, { today: '0000' });
  const isPast = props.warnsOfPast && day < days().today;
  const here = isPast ? t('common.dayPast', { day: long }) : typeof typed === 'string' ? long : '';
  return [here, props.hint].filter((words) => words !== '').join(' · ');
});

function pick(day: string): void {
  if (props.check(day) === null && day !== props.day) emit('day', day);
}

defineExpose({ focus: () => field.value?.focus() });
</script>

<template>
  <TypedField
    v-bind="$attrs"
    ref="field"
    :name="name"
    :value="day"
    :read="read"
    :write="write"
    :label="label"
    :hint="said"
    :wrong="wrong"
    :check="(value) => (value === null ? null : check(value))"
    :readonly="readonly"
    @set="emit('day', $event)"
  >
    <template v-if="!readonly" #append-inner>
      <PickDay :day="day" :label="label" @pick="pick" />
    </template>
  </TypedField>
</template>
