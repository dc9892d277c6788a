<script setup lang="ts">
/** The usual hand-in time, and the time at which the last day ends. */
import type { Dates, FieldValue } from '@itinerary/core';
import { WEEKDAYS } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { VSelect } from 'vuetify/components/VSelect';
import { weekdayName } from '../../words/dates.ts';
import { usePlan } from '../../stores/plan.ts';
import FieldFrame from '../../ui/fields/FieldFrame.vue';
import TimeField from '../../ui/fields/when/TimeField.vue';

defineProps<{ readonly: boolean }>();
const { t, locale } = useI18n();
const plan = usePlan();
const dates = computed(() => plan.course!.dates);

const weekdays = computed(() => [
  { value: 0, title: t('setup.dates.lastOfSection') },
  ...WEEKDAYS.map((value) => ({ value, title: weekdayName(value, locale.value) })),
]);

function set(field: 'handIn' | 'lastTime', value: FieldValue): void {
  plan.set(plan.course!.id, `dates.${field}`, value, dates.value[field] as FieldValue, { typing: true });
}

function setHandIn(change: Partial<Dates['handIn']>): void {
  set('handIn', { ...dates.value.handIn, ...change });
}
</script>

<template>
  <div class="hand-in">
    <VSelect
      :model-value="dates.handIn.weekday ?? 0"
      :items="weekdays"
      :label="t('setup.dates.handInDay')"
      :readonly="readonly"
      @update:model-value="setHandIn({ weekday: $event === 0 ? null : $event })"
    />
    <FieldFrame :label="t('setup.dates.handInTime')" of="dates.handIn" :help="t('setup.help.handIn')">
      <TimeField
        name="hand-in"
        :time="dates.handIn.time"
        :label="t('setup.dates.handInTime')"
        :readonly="readonly"
        required
        keeps
        @set="$event && setHandIn({ time: $event })"
      />
    </FieldFrame>
  </div>
</template>

<style scoped>
.hand-in {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 12px;
}
</style>
