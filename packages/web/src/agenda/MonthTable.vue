<script setup lang="ts">
/** A month, a week a row; each day with what stands on it, as far as there is room, and all of it when it is pressed. */
import type { AgendaAnswer, AgendaThing } from '@itinerary/contract';
import { useI18n } from 'vue-i18n';
import BareButton from '../ui/frame/BareButton.vue';
import { formatDay, weekdayName } from '../words/dates.ts';
import ThingLine from './ThingLine.vue';
import { monthOf } from './month.ts';

const ROOM = 3;
const props = defineProps<{
  month: string;
  weeks: readonly (readonly string[])[];
  things: ReadonlyMap<string, readonly AgendaThing[]>;
  courseOf: (thing: AgendaThing) => AgendaAnswer['courses'][number] | undefined;
  today: string;
  /** The day that is shown whole below. */
  chosen: string | null;
  weekStart: number;
}>();
const emit = defineEmits<{ choose: [day: string] }>();
const { t, locale } = useI18n();
const weekdays = Array.from({ length: 7 }, (_, at) => ((props.weekStart - 1 + at) % 7) + 1);
const of = (day: string): readonly AgendaThing[] => props.things.get(day) ?? [];
const said = (day: string): string =>
  t('agenda.dayHas', { day: formatDay(day, locale.value, { today: props.today }) }, of(day).length);
</script>

<template>
  <table class="month">
    <thead>
      <tr>
        <th v-for="weekday in weekdays" :key="weekday" scope="col">
          <span class="long">{{ weekdayName(weekday, locale) }}</span>
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="week in weeks" :key="week[0]">
        <td
          v-for="day in week"
          :key="day"
          :class="{ other: monthOf(day) !== month, today: day === today, chosen: day === chosen }"
        >
          <BareButton
            class="number"
            :aria-label="said(day)"
            :aria-current="day === today ? 'date' : undefined"
            :aria-pressed="day === chosen"
            @click="emit('choose', day)"
          >
            <span class="figures">{{ Number(day.slice(8)) }}</span>
            <span v-if="of(day).length > 0" class="count figures" aria-hidden="true">{{
              of(day).length
            }}</span>
          </BareButton>
          <ul v-if="of(day).length > 0" class="things">
            <li v-for="thing in of(day).slice(0, ROOM)" :key="`${thing.course} ${thing.what} ${thing.id}`">
              <ThingLine :thing="thing" :course="courseOf(thing)" is-short />
            </li>
          </ul>
          <BareButton v-if="of(day).length > ROOM" class="rest" @click="emit('choose', day)">
            {{ t('agenda.more', of(day).length - ROOM) }}
          </BareButton>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.month {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
  background: var(--card);
}

th {
  padding: 6px 8px;
  border-bottom: 2px solid var(--route);
  color: var(--ink-soft);
  font-size: 13px;
  font-weight: 600;
  text-align: start;
}

td {
  height: 104px;
  padding: 2px;
  border: 1px solid var(--rule);
  vertical-align: top;
}

.other {
  background: var(--ground);
}

.other .number {
  color: var(--ink-soft);
}

.number {
  min-width: 28px;
  height: 28px;
  padding: 0 7px;
}

.today .number {
  background: var(--bottle);
  color: var(--card);
}

.chosen {
  box-shadow: inset 0 0 0 2px var(--route);
}

.count {
  display: none;
}

.things {
  display: grid;
  gap: 2px;
  margin: 0;
  padding: 0;
  list-style: none;
}

.rest {
  height: 26px;
  padding: 0 6px;
  font-size: 13px;
}

@media (width <= 760px) {
  td {
    height: 54px;
  }

  .things,
  .rest {
    display: none;
  }

  .number {
    width: 100%;
    height: 48px;
    padding: 0;
  }

  .count {
    display: block;
    margin-inline-start: 3px;
    padding: 0 5px;
    border-radius: 8px;
    background: var(--mist);
    color: var(--ink);
    font-size: 12px;
  }

  .long {
    display: block;
    overflow: hidden;
    text-overflow: clip;
    white-space: nowrap;
  }
}
</style>
