<script setup lang="ts">
/** Every section with its days as they follow, pauses among them; units and meetings are changed here. */
import { clockChanges, namedPauses } from '@itinerary/core';
import type { Edit, HeldMeeting, Section, SectionPlan } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDay, formatDays } from '../../words/dates.ts';
import PlainTable from '../../ui/frame/PlainTable.vue';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import MeetingCell from './MeetingCell.vue';
import UnitCell from './UnitCell.vue';
import { plannedTitle } from '../node-title.ts';

defineProps<{ readonly: boolean }>();
const emit = defineEmits<{ propose: [edits: readonly Edit[]] }>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();

const planned = computed(() => plan.planned!);
const format = computed(() => planned.value.course.dates.format);
const columns = computed(() => [
  { title: t('setup.outline.columns.number') },
  { title: t('setup.outline.columns.title') },
  { title: t('setup.outline.columns.days') },
  ...(format.value === 'units' || format.value === 'meetings'
    ? [{ title: t(`setup.dates.columns.${format.value}`) }]
    : []),
]);
const clocks = computed(() => {
  const { firstDay, lastDay, course } = planned.value;
  return firstDay === null || lastDay === null || lastDay < firstDay
    ? []
    : clockChanges(firstDay, lastDay, course.dates.zone);
});

interface Row {
  readonly key: string;
  readonly kind: 'section' | 'pause' | 'spare';
  readonly number: string;
  readonly title: string;
  readonly follows: boolean;
  readonly days: string | null;
  readonly clock: string | null;
  readonly shown: boolean;
  readonly section: Section | null;
  readonly meeting: HeldMeeting | null;
  /** Names of the pauses that take some of its days. */
  readonly marks: readonly string[];
}

const days = (first: string, last: string): string => formatDays(first, last, locale.value, session.today);
const clockIn = (first: string, last: string): string | null =>
  clocks.value.find((at) => first <= at && at <= last) ?? null;

function sectionRow(row: SectionPlan): Row {
  const { section, span, number } = row;
  const slot = span.kind === 'slot' ? span.slot : null;
  const own = span.kind === 'own' ? span.own : null;
  return {
    key: section.id,
    kind: 'section',
    number: number ?? '·',
    title: plannedTitle(row, t, locale.value),
    follows: section.title === null,
    days:
      slot !== null
        ? days(slot.first, slot.last)
        : own !== null
          ? t('learner.ownDays', { first: own.firstOwn, last: own.lastOwn })
          : span.kind === 'unplaced'
            ? t('setup.dates.unplaced')
            : span.kind === 'outside'
              ? t('setup.dates.outside')
              : null,
    clock: slot === null ? null : clockIn(slot.first, slot.last),
    shown: section.shown,
    section,
    meeting: slot?.meeting ?? null,
    marks: (slot?.pauses ?? []).map((id) => planned.value.course.dates.pauses[id]?.name ?? ''),
  };
}

/** Sections in reading order, each pause before the first section that begins after it. */
const rows = computed<readonly Row[]>(() => {
  const { sections, spare } = planned.value;
  const pauses = namedPauses(planned.value).map(({ key, name, number, first, last }) => ({
    first,
    row: {
      key: `pause ${key}`,
      kind: 'pause' as const,
      number: number ?? '–',
      title: name,
      follows: false,
      days: days(first, last),
      clock: clockIn(first, last),
      shown: true,
      section: null,
      meeting: null,
      marks: [],
    },
  }));
  const made: Row[] = [];
  for (const section of sections) {
    const { span } = section;
    if (span.kind === 'slot') {
      while (pauses[0] !== undefined && pauses[0].first < span.slot.first)
        made.push((pauses.shift() as { row: Row }).row);
    }
    made.push(sectionRow(section));
  }
  const left = spare.map(({ number, first, last, meeting }): Row => ({
    key: `spare ${number}`,
    kind: 'spare',
    number: '–',
    title: t('setup.dates.spare'),
    follows: true,
    days: days(first, last),
    clock: clockIn(first, last),
    shown: true,
    section: null,
    meeting,
    marks: [],
  }));
  return [...made, ...pauses.map(({ row }) => row), ...left];
});
</script>

<template>
  <PlainTable :columns="columns">
    <tr v-for="row in rows" :key="row.key" :class="[row.kind, { hidden: !row.shown }]">
      <td class="figures">{{ row.number }}</td>
      <td :class="{ follows: row.follows }">
        {{ row.title }}
        <span v-for="mark in row.marks" :key="mark" class="mark">{{ mark }}</span>
      </td>
      <td class="figures when">
        {{ row.days ?? '–' }}
        <span v-if="row.clock" class="clock">
          {{ t('setup.dates.clockChange', { day: formatDay(row.clock, locale, { today: session.today }) }) }}
        </span>
      </td>
      <td v-if="format === 'units'">
        <UnitCell
          v-if="row.section && !row.section.outside"
          :section="row.section"
          :title="row.title"
          :readonly="readonly"
          @propose="emit('propose', $event)"
        />
      </td>
      <td v-else-if="format === 'meetings'">
        <MeetingCell
          v-if="row.meeting"
          :meeting="row.meeting"
          :readonly="readonly"
          @propose="emit('propose', $event)"
        />
      </td>
    </tr>
  </PlainTable>
</template>

<style scoped>
.when {
  white-space: nowrap;
}

.follows,
.hidden td {
  color: var(--ink-soft);
}

.clock {
  margin-inline-start: 8px;
  color: var(--later);
  font-family: var(--font-text);
  font-size: 13px;
}

.mark {
  margin-inline-start: 8px;
  padding: 0 6px;
  border: 1px solid var(--rule);
  border-radius: 4px;
  background: repeating-linear-gradient(-45deg, transparent 0 5px, var(--mist) 5px 10px);
  color: var(--ink-soft);
  font-size: 12.5px;
}

.spare td,
.pause td {
  background: repeating-linear-gradient(-45deg, transparent 0 5px, var(--mist) 5px 10px);
  color: var(--ink-soft);
}
</style>
