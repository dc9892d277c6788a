<script setup lang="ts">
import { clockChanges, isRealDay, MAX_WEEKS, numberNodes, planSections } from '@itinerary/core';
import type { Finding } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VAutocomplete } from 'vuetify/components/VAutocomplete';
import { VSelect } from 'vuetify/components/VSelect';
import { VTextField } from 'vuetify/components/VTextField';
import { formatDay, formatDays, weekdayName } from '../../app/dates.ts';
import { sectionTitle } from '../../learner/titles.ts';
import { newId } from '../../stores/new-id.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import FindingLine from '../readiness/FindingLine.vue';
import StopHead from '../StopHead.vue';
import { useFieldFocus } from '../use-field-focus.ts';
import WeekDiagram from './WeekDiagram.vue';

const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
useFieldFocus();

const course = computed(() => plan.course!);
const dates = computed(() => course.value.dates);
const planned = computed(() => planSections(course.value));
const numbers = computed(() => numberNodes(course.value));
const zones = Intl.supportedValuesOf('timeZone');
const weekdays = computed(() =>
  [1, 2, 3, 4, 5, 6, 7].map((value) => ({ value, title: weekdayName(value, locale.value) })),
);
const day = (iso: string): string => formatDay(iso, locale.value, { today: session.today });

const weeksTyped = ref(String(dates.value.weeks));
watch(
  () => dates.value.weeks,
  (weeks) => {
    if (Number(weeksTyped.value) !== weeks) weeksTyped.value = String(weeks);
  },
);
const weeksAreRight = computed(
  () =>
    /^\d+$/.test(weeksTyped.value) && Number(weeksTyped.value) >= 1 && Number(weeksTyped.value) <= MAX_WEEKS,
);

function set(
  field: 'firstDay' | 'weeks' | 'zone' | 'weekStart',
  value: string | number | null,
  typing = false,
): void {
  plan.set(course.value.id, `dates.${field}`, value, dates.value[field], { typing });
}

function typeFirstDay(value: string): void {
  if (value === '') set('firstDay', null, true);
  else if (isRealDay(value) && value > '1990') set('firstDay', value, true);
}

function typeWeeks(value: string): void {
  weeksTyped.value = value;
  if (weeksAreRight.value) set('weeks', Number(value), true);
}

const clocks = computed(() => {
  const { firstDay, lastDay } = planned.value;
  return firstDay === null || lastDay === null ? [] : clockChanges(firstDay, lastDay, dates.value.zone);
});
const here = computed<readonly Finding[]>(() =>
  plan.found.filter(({ stop, rule }) => stop === 'dates' || rule === 'unplaced_sections'),
);

const rows = computed(() => {
  const spans = new Map(planned.value.sections.map(({ id, span }) => [id, span]));
  return course.value.sections
    .filter(({ removed }) => !removed)
    .map((section) => {
      const span = spans.get(section.id);
      const week = span?.kind === 'week' ? span.week : null;
      return {
        id: section.id,
        week: week?.number ?? null,
        number: numbers.value.get(section.id) ?? '',
        title: sectionTitle({ title: section.title, days: week }, t, locale.value),
        follows: section.title === null,
        days: week === null ? null : formatDays(week.first, week.last, locale.value, session.today),
        clock:
          week === null ? null : (clocks.value.find((at) => week.first <= at && at <= week.last) ?? null),
        shown: section.shown,
      };
    });
});

function fillSpare(): void {
  const last = course.value.sections.at(-1)?.id ?? null;
  let after = last;
  const edits = planned.value.spare.map(() => {
    const id = newId();
    const edit = {
      kind: 'insert' as const,
      parent: course.value.id,
      after,
      node: {
        id,
        kind: 'section' as const,
        title: null,
        shown: true,
        removed: false,
        outside: false,
        items: [],
      },
    };
    after = id;
    return edit;
  });
  plan.change(edits);
}
</script>

<template>
  <StopHead stop="dates" />
  <section class="format" aria-labelledby="format">
    <WeekDiagram :weeks="planned.weeks.length" :spare="planned.spare.length" />
    <div>
      <h2 id="format">{{ t('setup.dates.format') }}</h2>
      <p class="soft">{{ t('setup.dates.formatText') }}</p>
    </div>
  </section>
  <h2 class="heading">{{ t('setup.dates.when') }}</h2>
  <div class="fields">
    <VTextField
      id="field-firstDay"
      class="figures-field"
      type="date"
      name="firstDay"
      :model-value="dates.firstDay ?? ''"
      :label="t('setup.dates.firstDay')"
      :hint="dates.firstDay ? formatDay(dates.firstDay, locale, { today: '0000' }) : ''"
      persistent-hint
      @update:model-value="typeFirstDay"
    />
    <VTextField
      id="field-weeks"
      class="figures-field"
      type="number"
      name="weeks"
      min="1"
      :max="MAX_WEEKS"
      :model-value="weeksTyped"
      :label="t('setup.dates.weeks')"
      :error-messages="weeksAreRight ? [] : [t('setup.dates.weeksWrong')]"
      @update:model-value="typeWeeks(String($event))"
    />
    <VSelect
      :model-value="dates.weekStart"
      :items="weekdays"
      :label="t('setup.dates.weekStart')"
      @update:model-value="set('weekStart', $event)"
    />
    <VAutocomplete
      :model-value="dates.zone"
      :items="zones"
      :label="t('setup.dates.zone')"
      auto-select-first
      @update:model-value="$event && set('zone', $event)"
    />
  </div>
  <dl class="results" aria-live="polite">
    <div>
      <dt>{{ t('setup.dates.lastDay') }}</dt>
      <dd class="figures">{{ planned.lastDay === null ? '–' : day(planned.lastDay) }}</dd>
    </div>
    <div>
      <dt>{{ t('setup.dates.calendarWeeks') }}</dt>
      <dd class="figures">{{ planned.weeks.length }}</dd>
    </div>
    <div>
      <dt>{{ t('setup.dates.sections') }}</dt>
      <dd class="figures">{{ planned.sections.length }}</dd>
    </div>
    <div v-if="clocks[0]">
      <dt>{{ t('setup.dates.clocks') }}</dt>
      <dd class="figures">
        {{ clocks.map((at) => formatDay(at, locale, { today: session.today, weekday: false })).join(', ') }}
      </dd>
    </div>
  </dl>
  <p v-if="planned.lastDay" class="counts soft">
    {{ t('setup.dates.lastDayCounts', { day: day(planned.lastDay), zone: dates.zone }) }}
  </p>
  <ul v-if="here.length > 0" class="findings">
    <FindingLine
      v-for="finding in here"
      :key="finding.rule"
      :finding="finding"
      :here="finding.stop === 'dates'"
    />
  </ul>
  <h2 class="heading">{{ t('setup.dates.computed') }}</h2>
  <table class="plan">
    <thead>
      <tr>
        <th>{{ t('setup.dates.week') }}</th>
        <th>{{ t('setup.outline.columns.days') }}</th>
        <th>{{ t('setup.outline.columns.number') }}</th>
        <th>{{ t('setup.outline.columns.title') }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.id" :class="{ hidden: !row.shown }">
        <td class="figures">{{ row.week ?? '' }}</td>
        <td class="figures">
          {{ row.days ?? t('setup.dates.unplaced') }}
          <span v-if="row.clock" class="clock">{{
            t('setup.dates.clockChange', { day: day(row.clock) })
          }}</span>
        </td>
        <td class="figures">{{ row.number }}</td>
        <td :class="{ follows: row.follows }">{{ row.title }}</td>
      </tr>
      <tr v-for="week in planned.spare" :key="`spare-${week.number}`" class="spare">
        <td class="figures">{{ week.number }}</td>
        <td class="figures">{{ formatDays(week.first, week.last, locale, session.today) }}</td>
        <td />
        <td>{{ t('setup.dates.spare') }}</td>
      </tr>
    </tbody>
  </table>
  <button v-if="planned.spare.length > 0" class="button fill" type="button" @click="fillSpare">
    {{ t('setup.dates.fillSpare', planned.spare.length) }}
  </button>
</template>

<style scoped>
.format {
  display: flex;
  align-items: center;
  gap: 18px;
  padding: 12px 16px;
  border: 1px solid var(--rule);
  border-radius: 8px;
  background: var(--card);
}

.heading {
  margin: 18px 0 8px;
}

.fields {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 12px;
  align-items: start;
}

.results {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 28px;
  margin: 10px 0 0;
  padding: 12px 16px;
  border-top: 3px solid var(--route);
  background: var(--card);
}

dt {
  color: var(--ink-soft);
  font-size: 12.5px;
}

dd {
  margin: 0;
  font-size: 20px;
  line-height: 1.3;
}

.counts {
  margin-top: 6px;
  font-size: 13px;
}

.findings {
  margin-top: 12px;
  padding: 0;
  list-style: none;
}

.plan {
  width: 100%;
  border-collapse: collapse;
  background: var(--card);
}

.plan th {
  padding: 6px 12px;
  border-bottom: 2px solid var(--route);
  font-size: 12.5px;
  font-weight: 500;
  text-align: left;
}

.plan td {
  padding: 5px 12px;
  border-bottom: 1px solid var(--rule);
}

.follows,
.hidden td {
  color: var(--ink-soft);
}

.clock {
  margin-left: 8px;
  color: var(--later);
  font-family: var(--font-text);
  font-size: 13px;
}

.spare td {
  background: repeating-linear-gradient(-45deg, transparent 0 5px, var(--mist) 5px 10px);
  color: var(--ink-soft);
}

.fill {
  margin-top: 10px;
}

@media (max-width: 1240px) {
  .fields {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
