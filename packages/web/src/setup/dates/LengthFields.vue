<script setup lang="ts">
/** How long the course is: by number, by last day, or as its term; each computed from the others. */
import { lengthsOf, MAX_MEETINGS, MAX_WEEKS, setDates } from '@itinerary/core';
import type { Dates, Edit } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDay } from '../../words/dates.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import ChoiceList from '../../ui/fields/choice/ChoiceList.vue';
import DayField from '../../ui/fields/when/DayField.vue';
import NumberField from '../../ui/fields/NumberField.vue';

defineProps<{ readonly: boolean }>();
const emit = defineEmits<{ propose: [edits: readonly Edit[]] }>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();

const dates = computed(() => plan.course!.dates);
const lengths = computed(() => lengthsOf(plan.course!, plan.term));
const isMeetings = computed(() => dates.value.format === 'meetings');
const field = computed(() => (isMeetings.value ? 'meetings' : 'weeks') as 'meetings' | 'weeks');
const most = computed(() => (isMeetings.value ? MAX_MEETINGS : MAX_WEEKS));
/** Units are as long as they are: their number is not asked for. */
const isCounted = computed(() => dates.value.format !== 'units');
const day = (iso: string): string => formatDay(iso, locale.value, { today: session.today });

const edit = <Field extends keyof Dates & string>(name: Field, value: Dates[Field]): Edit =>
  setDates(plan.course!, name, value);

/** Choosing another way begins where the one before it ended. */
function choose(ends: Dates['ends']): void {
  if (ends === dates.value.ends) return;
  const last = ends === 'term' ? plan.term?.lastDay : (dates.value.lastDay ?? plan.planned?.lastDay);
  const edits = [edit('ends', ends)];
  if (ends !== 'weeks' && last && last !== dates.value.lastDay) edits.push(edit('lastDay', last));
  emit('propose', edits);
}

const isReversed = (last: string): string | null => {
  const { firstDay } = dates.value;
  return firstDay !== null && last < firstDay ? t('setup.dates.reversed', { first: day(firstDay) }) : null;
};
const reversed = computed(() => {
  const { lastDay, ends } = dates.value;
  return ends === 'weeks' || lastDay === null ? null : isReversed(lastDay);
});

const ways = computed(() => {
  const { byWeeks, byDay, byTerm } = lengths.value;
  const until = (last: string | null): string => (last === null ? '' : day(last));
  const count = (of: number): string => t(`setup.dates.counts.${dates.value.format}`, { count: of }, of);
  return [
    {
      value: 'weeks' as const,
      title: t(`setup.dates.byNumber.${dates.value.format}`),
      text: byWeeks.lastDay === null ? '' : t('setup.dates.until', { day: until(byWeeks.lastDay) }),
    },
    {
      value: 'day' as const,
      title: t('setup.dates.byDay'),
      text: byDay === null ? '' : count(byDay.count),
    },
    {
      value: 'term' as const,
      disabled: plan.term === null,
      title:
        plan.term === null ? t('setup.dates.byTermNone') : t('setup.dates.byTerm', { term: plan.term.name }),
      text:
        byTerm === null
          ? ''
          : `${count(byTerm.count)}, ${t('setup.dates.until', { day: until(byTerm.lastDay) })}`,
    },
  ];
});
const over = computed(() => {
  const found = lengths.value.over;
  if (found === null) return null;
  const count = lengths.value.byWeeks.count;
  return t(found.of === 'term' ? 'setup.dates.overTerm' : 'setup.dates.overDay', {
    what: t(`setup.dates.counts.${dates.value.format}`, { count }, count),
    needs: day(found.needs),
    ends: day(found.ends),
  });
});
</script>

<template>
  <div class="length">
    <ChoiceList
      :legend="t('setup.dates.length')"
      :choices="ways"
      :chosen="dates.ends"
      :disabled="readonly"
      @choose="choose"
    />
    <NumberField
      v-if="dates.ends === 'weeks' && isCounted"
      :id="`field-${field}`"
      :key="field"
      name="weeks"
      keeps
      :number="dates[field]"
      :least="1"
      :most="most"
      :label="t(`setup.dates.numberOf.${field}`)"
      :readonly="readonly"
      required
      @set="$event !== null && plan.change([edit(field, $event)])"
    />
    <DayField
      v-else-if="dates.ends === 'day'"
      id="field-lastDay"
      name="lastDay"
      keeps
      :day="dates.lastDay"
      :label="t('setup.dates.lastDayField')"
      :readonly="readonly"
      :wrong="reversed"
      :check="isReversed"
      @day="emit('propose', [edit('lastDay', $event)])"
    />
    <p v-if="over" id="field-length" class="over" role="status" tabindex="-1">{{ over }}</p>
  </div>
</template>

<style scoped>
.length {
  display: grid;
  gap: 8px;
  align-content: start;
}

.over {
  padding: 6px 12px;
  border-inline-start: 4px solid var(--advice);
  background: var(--advice-pale);
}
</style>
