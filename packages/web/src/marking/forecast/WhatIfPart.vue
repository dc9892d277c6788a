<script setup lang="ts">
/** What another due moment or a pause would change: tried, and not done. */
import type { ContentItem, Forecast } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { path } from '../../api/client.ts';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import DayField from '../../ui/fields/when/DayField.vue';
import { formatDay } from '../../words/dates.ts';
import { formatNumber } from '../../words/intl.ts';
import { WHATS } from './use-forecast.ts';
import type { WhatIf } from './use-forecast.ts';

const asked = defineModel<WhatIf>({ required: true });
const props = defineProps<{
  courseId: string;
  dues: readonly ContentItem[];
  titleOf: (id: string) => string;
  found: Forecast;
  other: Forecast | null;
  missing: 'day' | 'days' | 'order' | null;
  isReckoning: boolean;
  today: string;
}>();
const { t, locale } = useI18n();

const whats = computed(() =>
  WHATS.filter((value) => value !== 'due' || props.dues.length > 0).map((value) => ({
    value,
    title: t(`forecast.whatIf.${value}`),
  })),
);
/** The list takes no null. */
const items = computed(() => [
  { value: '', title: t('forecast.whatIf.choose') },
  ...props.dues.map(({ id }) => ({ value: id, title: props.titleOf(id) })),
]);
const put = (some: Partial<WhatIf>): void => {
  asked.value = { ...asked.value, ...some };
};
const says = computed(() => {
  if (asked.value.what === 'nothing') return t('forecast.whatIf.hint');
  if (props.missing !== null) return t(`forecast.whatIf.missing.${props.missing}`);
  if (props.other === null)
    return props.isReckoning ? t('forecast.whatIf.reckoning') : t('forecast.whatIf.cannot');
  const [now, then] = [props.found, props.other].map((one) => one.finished.at(-1)?.middle ?? 0) as [
    number,
    number,
  ];
  const words = {
    now: formatNumber(now, locale.value),
    then: formatNumber(then, locale.value),
    of: formatNumber(props.found.learners, locale.value),
  };
  const sentence = t(
    then === now ? 'forecast.whatIf.same' : then > now ? 'forecast.whatIf.more' : 'forecast.whatIf.fewer',
    words,
  );
  const ends = [props.found, props.other].map((one) => one.days.at(-1) ?? '') as [string, string];
  if (ends[0] === ends[1]) return sentence;
  const day = (iso: string): string => formatDay(iso, locale.value, { today: props.today });
  return `${sentence} ${t('forecast.whatIf.ends', { then: day(ends[1]), now: day(ends[0]) })}`;
});
const place = computed(() => (asked.value.what === 'pause' ? 'dates' : 'outline'));
</script>

<template>
  <section aria-labelledby="what-if" class="what-if">
    <h2 id="what-if">{{ t('forecast.whatIf.title') }}</h2>
    <div class="fields">
      <SelectField
        :label="t('forecast.whatIf.label')"
        :value="asked.what"
        :options="whats"
        @choose="put({ what: $event })"
      />
      <template v-if="asked.what === 'due'">
        <SelectField
          :label="t('forecast.whatIf.item')"
          :value="asked.item"
          :options="items"
          @choose="put({ item: $event })"
        />
        <DayField
          name="what-if-day"
          :label="t('forecast.whatIf.day')"
          :day="asked.day"
          @set="put({ day: $event })"
        />
      </template>
      <template v-else-if="asked.what === 'pause'">
        <DayField
          name="what-if-first"
          :label="t('forecast.whatIf.first')"
          :day="asked.first"
          @set="put({ first: $event })"
        />
        <DayField
          name="what-if-last"
          :label="t('forecast.whatIf.last')"
          :day="asked.last"
          @set="put({ last: $event })"
        />
      </template>
    </div>
    <p role="status" :class="{ soft: other === null }">{{ says }}</p>
    <p v-if="other !== null">
      <RouterLink :to="path`/setup/${courseId}/${place}`">{{ t(`forecast.whatIf.to.${place}`) }}</RouterLink>
    </p>
  </section>
</template>

<style scoped>
.what-if {
  display: grid;
  gap: 8px;
}

h2 {
  font-size: 17px;
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 8px 12px;
  align-items: start;
}
</style>
