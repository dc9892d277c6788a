<script setup lang="ts">
/** Something that happens once, and the days on which one may join: neither moves a section. */
import { eventSchema } from '@itinerary/core';
import type { CourseEvent, FieldValue } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import { formatDay } from '../../words/dates.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import DayField from '../../ui/fields/when/DayField.vue';
import DurationField from '../../ui/fields/when/DurationField.vue';
import TimeField from '../../ui/fields/when/TimeField.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import CheckField from '../../ui/fields/choice/CheckField.vue';

defineProps<{ readonly: boolean }>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
const dates = computed(() => plan.course!.dates);

function set(field: 'event' | 'joinFrom' | 'joinUntil' | 'lastTime', value: FieldValue): void {
  plan.set(plan.course!.id, `dates.${field}`, value, dates.value[field] as FieldValue, { typing: true });
}

function setEvent(change: Partial<CourseEvent>): void {
  const next = eventSchema.safeParse({ ...dates.value.event, ...change });
  if (next.success) set('event', next.data);
}

function toggleEvent(): void {
  const day = plan.planned?.firstDay ?? session.today;
  set('event', dates.value.event === null ? { day, time: '10:00', minutes: 60, place: null } : null);
}

const MIDNIGHT = '00:00';
const END_OF_DAY = '23:59';
/** Somebody has said that the very beginning of the last day is what they mean. */
const meant = ref(false);
const asksMidnight = computed(() => dates.value.lastTime === MIDNIGHT && !meant.value);
const lastDay = computed(() => {
  const day = plan.planned?.lastDay ?? null;
  return day === null
    ? t('setup.dates.lastDayField')
    : formatDay(day, locale.value, { today: session.today });
});
watch(
  () => dates.value.lastTime,
  () => (meant.value = false),
);

const joinWrong = computed(() => {
  const { joinFrom, joinUntil } = dates.value;
  return joinFrom !== null && joinUntil !== null && joinUntil < joinFrom
    ? t('setup.dates.joinReversed')
    : null;
});
const text = (value: unknown): string | null =>
  String(value ?? '').trim() === '' ? null : String(value).trim();
</script>

<template>
  <details class="more" :open="asksMidnight || undefined">
    <summary>{{ t('setup.dates.more') }}</summary>
    <div class="fields">
      <DayField
        name="joinFrom"
        :day="dates.joinFrom"
        :label="t('setup.dates.joinFrom')"
        :readonly="readonly"
        @day="set('joinFrom', $event)"
      />
      <DayField
        name="joinUntil"
        :day="dates.joinUntil"
        :label="t('setup.dates.joinUntil')"
        :readonly="readonly"
        :wrong="joinWrong"
        @day="set('joinUntil', $event)"
      />
      <TimeField
        name="lastTime"
        keeps
        :time="dates.lastTime"
        :label="t('setup.dates.lastTime')"
        :hint="t('setup.dates.lastTimeHint')"
        :readonly="readonly"
        @set="set('lastTime', $event)"
      />
      <div v-if="asksMidnight" class="asked" role="status">
        <p>{{ t('setup.dates.midnight', { day: lastDay }) }}</p>
        <p class="acts">
          <PushButton small @click="set('lastTime', END_OF_DAY)">{{
            t('setup.dates.midnightEnd', { time: END_OF_DAY })
          }}</PushButton>
          <PushButton small @click="meant = true">{{ t('setup.dates.midnightMeant') }}</PushButton>
        </p>
      </div>
    </div>
    <CheckField class="event" :checked="dates.event !== null" :disabled="readonly" @toggle="toggleEvent">
      {{ t('setup.dates.event') }}
    </CheckField>
    <div v-if="dates.event" class="fields">
      <DayField
        name="event-day"
        :day="dates.event.day"
        :label="t('setup.dates.meetingDay')"
        :readonly="readonly"
        required
        keeps
        @day="$event && setEvent({ day: $event })"
      />
      <TimeField
        name="event-time"
        :time="dates.event.time"
        :label="t('setup.dates.patternTime')"
        :readonly="readonly"
        required
        keeps
        @set="$event && setEvent({ time: $event })"
      />
      <DurationField
        name="event-minutes"
        :minutes="dates.event.minutes"
        :least="1"
        :most="1440"
        :label="t('setup.dates.patternMinutes')"
        :readonly="readonly"
        required
        keeps
        @set="$event && setEvent({ minutes: $event })"
      />
      <VTextField
        name="event-place"
        maxlength="200"
        :model-value="dates.event.place ?? ''"
        :label="t('setup.dates.patternPlace')"
        :readonly="readonly"
        @update:model-value="setEvent({ place: text($event) })"
      />
    </div>
  </details>
</template>

<style scoped>
.more {
  margin-top: 18px;
}

summary {
  min-height: 32px;
  font-weight: 600;
  cursor: pointer;
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 12px;
  align-items: start;
  margin-top: 8px;
}

.event {
  margin-top: 10px;
}

.asked {
  grid-column: 1 / -1;
  padding: 8px 12px;
  border-inline-start: 4px solid var(--advice);
  background: var(--advice-pale);
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 6px;
}
</style>
