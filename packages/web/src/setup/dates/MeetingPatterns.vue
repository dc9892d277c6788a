<script setup lang="ts">
/** The weekly pattern of a meeting-by-meeting course: on which days, when, how long, where. */
import { IconPlus, IconTrash } from '@tabler/icons-vue';
import { MAX_PATTERNS, patternSchema, setDatesEntry } from '@itinerary/core';
import type { Edit, Pattern } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { weekdayName } from '../../words/dates.ts';
import { newId } from '../../stores/new-id.ts';
import { usePlan } from '../../stores/plan.ts';
import DurationField from '../../ui/fields/when/DurationField.vue';
import TimeField from '../../ui/fields/when/TimeField.vue';
import IconButton from '../../ui/frame/IconButton.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { VTextField } from 'vuetify/components/VTextField';
import BareButton from '../../ui/frame/BareButton.vue';

defineProps<{ readonly: boolean }>();
const emit = defineEmits<{ propose: [edits: readonly Edit[]] }>();
const { t, locale } = useI18n();
const plan = usePlan();
const dates = computed(() => plan.course!.dates);
const patterns = computed(() =>
  Object.entries(dates.value.patterns).sort(([a, one], [b, other]) =>
    one.time === other.time ? (a < b ? -1 : 1) : one.time < other.time ? -1 : 1,
  ),
);
/** In the order of the teaching week. */
const weekdays = computed(() =>
  Array.from({ length: 7 }, (_, at) => ((dates.value.weekStart - 1 + at) % 7) + 1),
);

function set(id: string, value: Pattern | null): void {
  if (value !== null && !patternSchema.safeParse(value).success) return;
  emit('propose', [setDatesEntry(plan.course!, 'patterns', id, value)]);
}

function toggle(id: string, pattern: Pattern, weekday: number): void {
  const has = pattern.weekdays.includes(weekday);
  // The last weekday stays: a pattern on no day is taken away with its own button.
  if (has && pattern.weekdays.length === 1) return;
  const next = has ? pattern.weekdays.filter((one) => one !== weekday) : [...pattern.weekdays, weekday];
  set(id, { ...pattern, weekdays: next.sort((a, b) => a - b) });
}

const MAX_PLACE = 200;
const place = (value: string): string | null => (value.trim() === '' ? null : value.trim());
const text = (event: Event): string => (event.target as HTMLInputElement).value;
</script>

<template>
  <div id="field-patterns" class="patterns" tabindex="-1">
    <fieldset v-for="[id, pattern] in patterns" :key="id" class="pattern">
      <legend class="visually-hidden">{{ t('setup.dates.pattern') }}</legend>
      <div class="days" role="group" :aria-label="t('setup.dates.patternDays')">
        <BareButton
          v-for="weekday in weekdays"
          :key="weekday"
          class="day figures"
          :aria-pressed="pattern.weekdays.includes(weekday)"
          :aria-label="weekdayName(weekday, locale)"
          :disabled="readonly"
          @click="toggle(id, pattern, weekday)"
        >
          {{ weekdayName(weekday, locale).slice(0, 2) }}
        </BareButton>
      </div>
      <TimeField
        class="short"
        :name="`time-${id}`"
        :time="pattern.time"
        :label="t('setup.dates.patternTime')"
        :readonly="readonly"
        required
        keeps
        @set="$event && set(id, { ...pattern, time: $event })"
      />
      <DurationField
        class="short"
        :name="`minutes-${id}`"
        :minutes="pattern.minutes"
        :least="1"
        :most="1440"
        :label="t('setup.dates.patternMinutes')"
        :readonly="readonly"
        required
        keeps
        @set="$event && set(id, { ...pattern, minutes: $event })"
      />
      <VTextField
        class="place"
        :model-value="pattern.place ?? ''"
        :label="t('setup.dates.patternPlace')"
        :counter="pattern.place !== null && pattern.place.length > 160 ? MAX_PLACE : false"
        :maxlength="MAX_PLACE"
        :readonly="readonly"
        @change="set(id, { ...pattern, place: place(text($event)) })"
      />
      <IconButton
        v-if="!readonly"
        :icon="IconTrash"
        :label="t('setup.dates.removePattern')"
        @click="set(id, null)"
      />
    </fieldset>
    <PushButton
      v-if="!readonly && patterns.length < MAX_PATTERNS"
      small
      @click="
        set(newId(), { weekdays: [dates.teachingDays[0] ?? 1], time: '10:00', minutes: 60, place: null })
      "
    >
      <IconPlus :size="16" aria-hidden="true" /> {{ t('setup.dates.addPattern') }}
    </PushButton>
  </div>
</template>

<style scoped>
.patterns {
  display: grid;
  gap: 8px;
  justify-items: start;
}

.pattern {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: start;
  width: 100%;
  margin: 0;
  padding: 10px 12px;
  border: 1px solid var(--field-rule);
  border-radius: 6px;
  background: var(--card);
}

.days {
  display: flex;
}

.day {
  min-width: 34px;
  min-height: 34px;
  padding: 0;
  border: 1px solid var(--field-rule);
  border-inline-end-width: 0;
  background: var(--card);
  cursor: pointer;
}

.day:first-child {
  border-radius: 5px 0 0 5px;
}

.day:last-child {
  border-inline-end-width: 1px;
  border-radius: 0 5px 5px 0;
}

.day[aria-pressed='true'] {
  background: var(--bottle);
  color: var(--on-bottle);
}

.short {
  flex: 0 0 130px;
}

.place {
  flex: 1;
  min-width: 140px;
}
</style>
