<script setup lang="ts">
/** A day with a time, in one field: "7 Dec 14:00", "tomorrow 9 am"; a day alone takes the usual time. */
import { readMoment } from '@itinerary/core';
import type { LocalMoment, Reading } from '@itinerary/core';
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
    moment: LocalMoment | null;
    label: string;
    name: string;
    /** Of a day that is typed or picked without one. */
    usual: string;
    readonly?: boolean;
    /** What is wrong with the moment that stands there. */
    wrong?: string | null;
    /** It has to be one: nothing is not taken. */
    required?: boolean;
  }>(),
  { readonly: false, wrong: null, required: false },
);
const emit = defineEmits<{ set: [moment: LocalMoment | null] }>();
const { locale } = useI18n();
const days = useCourseDays();
const field = ref<{ focus: () => void; reading: unknown } | null>(null);

function readAny(text: string): Reading<LocalMoment | null> {
  const got = readMoment(text, typedIn(locale.value), readingFrom(days(), props.moment?.day ?? null));
  if (!got.ok || got.value === null) return got as Reading<null>;
  const { day, time } = got.value;
  return { ok: true, value: { day, time: time ?? props.usual } };
}

function read(text: string): Reading<LocalMoment | null> {
  return orExpected(readAny(text), props.required, { code: 'moment' });
}

const words = ({ day, time }: LocalMoment, today: string): string =>
  `${formatDay(day, locale.value, { today })} ${time}`;

function write(moment: LocalMoment): string {
  return writtenAgain(
    (today) => words(moment, today),
    days(),
    (brief) => {
      const again = readAny(brief);
      return again.ok && again.value?.day === moment.day;
    },
  );
}

/** What is being typed, as it will be taken. */
const said = computed(() => {
  const typed = field.value?.reading as LocalMoment | null | undefined;
  return typed === undefined || typed === null ? '' : words(typed, '0000');
});

defineExpose({ focus: () => field.value?.focus() });
</script>

<template>
  <TypedField
    v-bind="$attrs"
    ref="field"
    :name="name"
    :value="moment"
    :read="read"
    :write="write"
    :label="label"
    :hint="said"
    :wrong="wrong"
    :readonly="readonly"
    @set="emit('set', $event)"
  >
    <template v-if="!readonly" #append-inner>
      <PickDay
        :day="moment?.day ?? null"
        :label="label"
        @pick="emit('set', { day: $event, time: moment?.time ?? usual })"
      />
    </template>
  </TypedField>
</template>
