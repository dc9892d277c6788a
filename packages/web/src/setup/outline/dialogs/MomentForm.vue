<script setup lang="ts">
/** The parts of a planned moment, in the words of a sentence. */
import { allLivingItems, livingSections, WEEKDAYS } from '@itinerary/core';
import type { Anchor, PlannedMoment, ShiftUnit } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { weekdayName } from '../../../words/dates.ts';
import { usePlan } from '../../../stores/plan.ts';
import { useNodeTitle } from '../../node-title.ts';
import ChoiceList from '../../../ui/fields/choice/ChoiceList.vue';
import DayField from '../../../ui/fields/when/DayField.vue';
import TimeField from '../../../ui/fields/when/TimeField.vue';
import type { SelectOption } from '../../../ui/fields/choice/select-option.ts';
import NumberField from '../../../ui/fields/NumberField.vue';
import SelectField from '../../../ui/fields/choice/SelectField.vue';

const props = defineProps<{
  id: string;
  field: 'due' | 'held' | 'opens' | 'until' | 'late';
  /** It stands in no section: "this section" means nothing to it. */
  ofCourse?: boolean;
  /** It is of a way into the course, and says so where it has none. */
  ofWay?: boolean;
  /** It has to have one. */
  required?: boolean;
}>();
const moment = defineModel<PlannedMoment | null>({ required: true });
const { t, locale } = useI18n();
const plan = usePlan();
const titleOf = useNodeTitle();

type Relative = Extract<PlannedMoment, { kind: 'relative' }>;
type Way = 'none' | 'usual' | 'weekday' | 'relative' | 'fixed';

const WAYS = computed<readonly Way[]>(() => [
  ...(props.required ? [] : ['none' as const]),
  ...(props.field === 'due' ? ['usual' as const] : []),
  ...(props.ofCourse ? [] : ['weekday' as const]),
  'relative',
  'fixed',
]);
/** "Sunday of this section" is the shortest of the relative ones, and the most usual. */
const isWeekday = (one: Relative): boolean =>
  one.anchor.of === 'section' && one.anchor.section === null && one.shift === null && one.weekday !== null;
const way = computed<Way>(() => {
  const now = moment.value;
  if (now === null) return 'none';
  if (now.kind !== 'relative') return now.kind;
  return isWeekday(now) ? 'weekday' : 'relative';
});
const noneOf = (): string => {
  if (props.ofWay) return props.field === 'opens' ? 'ofWayOpens' : 'ofWayUntil';
  return props.ofCourse ? 'ofCourse' : props.field;
};
const ways = computed(() =>
  WAYS.value.map((value) => ({
    value,
    title: t(value === 'none' ? `setup.moment.none.${noneOf()}` : `setup.moment.ways.${value}`),
  })),
);
const isEnd = computed(() => ['due', 'until', 'late'].includes(props.field));
const edge = computed(() => (isEnd.value ? 'end' : 'start'));
const time = computed(() =>
  moment.value !== null && moment.value.kind !== 'usual' ? moment.value.time : null,
);

function choose(next: Way): void {
  const section: Anchor = props.ofCourse
    ? { of: 'course', at: edge.value }
    : { of: 'section', at: edge.value, section: null };
  const base: Relative = { kind: 'relative', anchor: section, shift: null, weekday: null, time: time.value };
  const days = plan.planned?.sections.find(
    ({ section: one }) => one.id === props.id || allLivingItems(one).some(({ id }) => id === props.id),
  )?.span;
  const day = days?.kind === 'slot' ? days.slot[isEnd.value ? 'last' : 'first'] : plan.planned?.firstDay;
  const made: Readonly<Record<Way, PlannedMoment | null>> = {
    none: null,
    usual: { kind: 'usual' },
    weekday: { ...base, weekday: isEnd.value ? 7 : (plan.course?.dates.weekStart ?? 1) },
    relative: { ...base, shift: { by: isEnd.value ? -1 : 1, unit: 'days' } },
    fixed: { kind: 'fixed', day: day ?? '2027-01-11', time: time.value },
  };
  moment.value = made[next];
}

const change = (part: Partial<Relative>): void => {
  if (moment.value?.kind === 'relative') moment.value = { ...moment.value, ...part };
};
const relative = computed(() => (moment.value?.kind === 'relative' ? moment.value : null));
const by = computed(() => Math.abs(relative.value?.shift?.by ?? 0));
const side = computed(() => ((relative.value?.shift?.by ?? 0) < 0 ? 'before' : 'after'));
const unit = computed(() => relative.value?.shift?.unit ?? 'days');
const SIDES = ['before', 'after'] as const;
const UNITS: readonly ShiftUnit[] = ['minutes', 'hours', 'days', 'weeks', 'months', 'years'];

function shift(part: { by?: number; side?: 'before' | 'after'; unit?: ShiftUnit }): void {
  const size = part.by ?? by.value;
  const sign = (part.side ?? side.value) === 'before' ? -1 : 1;
  change({ shift: size === 0 ? null : { by: sign * size, unit: part.unit ?? unit.value } });
}

/** Anchors as one list: "the start of this section", …, "when Core log is due". */
const anchors = computed(() => {
  const course = plan.course!;
  const base: { value: string; title: string; anchor: Anchor }[] = (
    [
      { of: 'section', at: 'start', section: null },
      { of: 'section', at: 'end', section: null },
      { of: 'course', at: 'start' },
      { of: 'course', at: 'end' },
      { of: 'joining' },
    ] as const
  )
    .filter((anchor) => !props.ofCourse || anchor.of !== 'section')
    .map((anchor) => ({
      value: JSON.stringify(anchor),
      title: t(`setup.moment.anchors.${anchor.of}${'at' in anchor ? `_${anchor.at}` : ''}`),
      anchor,
    }));
  const starts = (props.ofCourse ? livingSections(course) : []).map(({ id }) => {
    const anchor: Anchor = { of: 'section', at: 'start', section: id };
    const title = t('setup.moment.anchors.sectionStart', { title: titleOf(id) ?? '' });
    return { value: JSON.stringify(anchor), title, anchor };
  });
  const dues = livingSections(course)
    .flatMap((section) => allLivingItems(section))
    .filter((item) => 'due' in item && item.due !== null && item.id !== props.id)
    .map(({ id, title }) => {
      const anchor: Anchor = { of: 'due', item: id };
      return { value: JSON.stringify(anchor), title: t('setup.moment.anchors.due', { title }), anchor };
    });
  const now = relative.value?.anchor;
  const all = [...base, ...starts, ...dues];
  const isListed = now === undefined || all.some(({ value }) => value === JSON.stringify(now));
  return isListed
    ? all
    : [...all, { value: JSON.stringify(now), title: t('setup.moment.anchors.other'), anchor: now }];
});

function setTime(time: string | null): void {
  if (moment.value !== null && moment.value.kind !== 'usual') {
    moment.value = { ...moment.value, time };
  }
}
const weekdays = computed(() =>
  WEEKDAYS.map((value): SelectOption<number | null> => ({ value, title: weekdayName(value, locale.value) })),
);
</script>

<template>
  <ChoiceList
    class="ways"
    :legend="t('setup.moment.way')"
    legend-hidden
    :choices="ways"
    :chosen="way"
    @choose="choose"
  />
  <div v-if="relative && way === 'weekday'" class="parts">
    <SelectField
      :label="t('setup.moment.weekday')"
      :value="relative.weekday"
      :options="weekdays"
      @choose="change({ weekday: $event })"
    />
  </div>
  <div v-else-if="relative" class="parts">
    <NumberField
      class="short"
      :number="by"
      :least="0"
      :most="10000"
      :label="t('setup.moment.howMany')"
      required
      live
      @set="$event !== null && shift({ by: $event })"
    />
    <SelectField
      :label="t('setup.moment.unit')"
      :value="unit"
      :options="UNITS.map((value) => ({ value, title: t(`setup.moment.units.${value}`, by) }))"
      @choose="shift({ unit: $event })"
    />
    <SelectField
      :label="t('setup.moment.side')"
      :value="side"
      :options="SIDES.map((value) => ({ value, title: t(`setup.moment.${value}`) }))"
      @choose="shift({ side: $event })"
    />
    <SelectField
      class="wide"
      :label="t('setup.moment.anchor')"
      :value="JSON.stringify(relative.anchor)"
      :options="anchors"
      @choose="change({ anchor: JSON.parse($event) as Anchor })"
    />
    <SelectField
      :label="t('setup.moment.thenWeekday')"
      :value="relative.weekday"
      :options="[{ value: null, title: t('setup.moment.anyWeekday') }, ...weekdays]"
      @choose="change({ weekday: $event })"
    />
  </div>
  <div v-else-if="moment?.kind === 'fixed'" class="parts">
    <DayField
      name="moment-day"
      :day="moment.day"
      :label="t('setup.moment.day')"
      required
      live
      warns-of-past
      @day="$event && moment?.kind === 'fixed' && (moment = { ...moment, day: $event })"
    />
  </div>
  <TimeField
    v-if="moment !== null && moment.kind !== 'usual'"
    class="time"
    name="moment-time"
    :time="moment.time"
    :label="t(`setup.moment.time.${field === 'late' ? 'until' : field}`)"
    live
    @set="setTime"
  />
</template>

<style scoped>
.ways {
  margin-bottom: 12px;
}

.parts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  margin-bottom: 10px;
}

.time {
  width: 160px;
}

.short {
  flex: 0 0 110px;
}

.wide {
  max-width: 300px;
}
</style>
