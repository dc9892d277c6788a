<script setup lang="ts">
/** Fields that read what is typed into them, and what they hold: the tests type the whole table of what is typed here. */
import type { LocalMoment } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import ColourField from '../ui/fields/ColourField.vue';
import DayField from '../ui/fields/when/DayField.vue';
import DurationField from '../ui/fields/when/DurationField.vue';
import MomentField from '../ui/fields/when/MomentField.vue';
import NumberField from '../ui/fields/NumberField.vue';
import TimeField from '../ui/fields/when/TimeField.vue';
import ZoneField from '../ui/fields/when/ZoneField.vue';

const { t } = useI18n();
/** Headings are the names of files, in every language. */
const FILES = 'NumberField, DurationField, DayField, TimeField, MomentField, ZoneField, ColourField';
const whole = ref<number | null>(7);
const number = ref<number | null>(7.5);
const duration = ref<number | null>(90);
const day = ref<string | null>('2027-02-22');
const time = ref<string | null>('23:59');
const moment = ref<LocalMoment | null>({ day: '2027-02-22', time: '08:00' });
const colour = ref<string | null>('#15493b');
const zone = ref('Asia/Kolkata');
const kept = computed(() => ({
  whole: whole.value,
  number: number.value,
  duration: duration.value,
  day: day.value,
  time: time.value,
  moment: moment.value === null ? null : `${moment.value.day} ${moment.value.time}`,
  colour: colour.value,
  zone: zone.value,
}));
</script>

<template>
  <section aria-label="fields">
    <h2>{{ FILES }}</h2>
    <div class="grid">
      <NumberField name="whole" :number="whole" :least="0" :most="500" label="whole" @set="whole = $event" />
      <NumberField
        name="number"
        :number="number"
        :least="0"
        :most="500"
        fractions
        label="number"
        @set="number = $event"
      />
      <DurationField
        name="duration"
        :minutes="duration"
        :most="10000"
        label="duration"
        @set="duration = $event"
      />
      <DayField name="day" :day="day" label="day" @day="day = $event" />
      <TimeField name="time" :time="time" label="time" @set="time = $event" />
      <MomentField name="moment" :moment="moment" usual="08:00" label="moment" @set="moment = $event" />
      <ZoneField :zone="zone" label="zone" @set="zone = $event" />
      <ColourField name="colour" :colour="colour" label="colour" @set="colour = $event" />
      <NumberField :number="7" :least="1" :most="9" label="readonly" readonly />
      <NumberField :number="7" :least="1" :most="9" label="hint" :hint="t('common.signIn.promise')" />
      <NumberField
        :number="70"
        :least="1"
        :most="9"
        label="wrong"
        :wrong="t('common.expected.whole', { least: 1, most: 9 })"
      />
    </div>
    <output class="figures" data-kept>{{ JSON.stringify(kept) }}</output>
  </section>
</template>
