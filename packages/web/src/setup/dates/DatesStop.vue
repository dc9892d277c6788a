<script setup lang="ts">
import { IconPlus } from '@tabler/icons-vue';
import { clockChanges, newSection, setDates, setDatesEntry, slotCount, WEEKDAYS } from '@itinerary/core';
import type { Dates, Edit, Finding } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { onBeforeRouteLeave, onBeforeRouteUpdate } from 'vue-router';
import { VSelect } from 'vuetify/components/VSelect';
import { formatDay, weekdayName } from '../../words/dates.ts';
import { newId } from '../../stores/new-id.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import FieldFrame from '../../ui/fields/FieldFrame.vue';
import DayField from '../../ui/fields/when/DayField.vue';
import SeveralField from '../../ui/fields/choice/SeveralField.vue';
import ZoneField from '../../ui/fields/when/ZoneField.vue';
import FindingLine from '../readiness/FindingLine.vue';
import StopHead from '../frame/StopHead.vue';
import { useFieldFocus } from '../fields/use-field-focus.ts';
import AroundChoice from './AroundChoice.vue';
import DatesTable from './DatesTable.vue';
import EventFields from './EventFields.vue';
import FormatChoice from './FormatChoice.vue';
import HandInFields from './HandInFields.vue';
import LengthFields from './LengthFields.vue';
import MeetingPatterns from './MeetingPatterns.vue';
import OffWeekChoice from './OffWeekChoice.vue';
import PauseList from './PauseList.vue';
import { useProposals } from './what-if.ts';
import WhatIfDialog from './WhatIfDialog.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import CheckField from '../../ui/fields/choice/CheckField.vue';
import LaterPart from '../../ui/frame/LaterPart.vue';

const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
useFieldFocus();
const proposals = useProposals();
/** What is typed counts when the field is left, also by leaving the stop; what it would move is decided first. */
function isDecided(): boolean {
  if (document.activeElement instanceof HTMLInputElement) document.activeElement.blur();
  return proposals.open.value === null;
}
onBeforeRouteUpdate(isDecided);
onBeforeRouteLeave(isDecided);

const course = computed(() => plan.course!);
const dates = computed(() => course.value.dates);
const planned = computed(() => plan.planned!);
const weekdays = computed(() =>
  WEEKDAYS.map((value) => ({ value, title: weekdayName(value, locale.value) })),
);
const day = (iso: string): string => formatDay(iso, locale.value, { today: session.today });
const isAround = computed(() => dates.value.format === 'item');
const hasTogether = computed(() => dates.value.pace === 'together' || dates.value.format === 'meetings');

const edit = <Field extends keyof Dates & string>(field: Field, value: Dates[Field]): Edit =>
  setDates(course.value, field, value);

const clocks = computed(() => {
  const { firstDay, lastDay } = planned.value;
  return firstDay === null || lastDay === null || lastDay < firstDay
    ? []
    : clockChanges(firstDay, lastDay, dates.value.zone);
});
/** What belongs here is said here, once: sections without a place are of the calendar too. */
const HERE = new Set(['unplaced_sections', 'past_last_day', 'unit_overlap']);
const here = computed<readonly Finding[]>(() =>
  // A first day in mid-week is a choice of three here, which says more than the finding.
  plan.found.filter(({ stop, rule }) => (stop === 'dates' && rule !== 'mid_week') || HERE.has(rule)),
);
const slots = computed(() => slotCount(planned.value));
const inside = computed(() => planned.value.sections.filter(({ span }) => span.kind !== 'outside').length);

function fillSpare(): void {
  let after = course.value.sections.at(-1)?.id ?? null;
  const edits = planned.value.spare.map((): Edit => {
    const node = newSection({ id: newId() });
    const insert: Edit = { kind: 'insert', parent: course.value.id, after, node };
    after = node.id;
    return insert;
  });
  plan.change(edits);
}

function addMeeting(): void {
  const { lastDay, slots } = planned.value;
  const like = slots.at(-1)?.meeting;
  const added: Dates['changes'][string] = {
    kind: 'added',
    day: lastDay ?? dates.value.firstDay ?? session.today,
    time: like?.time ?? '10:00',
    minutes: like?.minutes ?? 60,
    place: like?.place ?? null,
  };
  proposals.propose([setDatesEntry(course.value, 'changes', newId(), added)]);
}
</script>

<template>
  <StopHead stop="dates" />
  <FormatChoice :readonly="plan.isReadonly" @propose="proposals.propose($event)" />
  <dl class="results" aria-live="polite">
    <div>
      <dt>{{ t('setup.dates.lastDay') }}</dt>
      <dd class="figures">{{ planned.lastDay === null ? '–' : day(planned.lastDay) }}</dd>
    </div>
    <div v-if="slots !== null">
      <dt>{{ t(`setup.dates.slots.${dates.format}`) }}</dt>
      <dd class="figures">{{ slots }}</dd>
    </div>
    <div v-if="!isAround">
      <dt>{{ t('setup.dates.sections') }}</dt>
      <dd class="figures">{{ inside }}</dd>
    </div>
    <div v-if="clocks[0]">
      <dt>{{ t('setup.dates.clocks') }}</dt>
      <dd class="figures">
        {{ clocks.map((at) => formatDay(at, locale, { today: session.today, weekday: false })).join(', ') }}
      </dd>
    </div>
  </dl>
  <p v-if="planned.lastDay" class="counts soft">
    {{
      dates.lastTime === null
        ? t('setup.dates.lastDayCounts', { day: day(planned.lastDay), zone: dates.zone })
        : t('setup.dates.lastTimeCounts', {
            day: day(planned.lastDay),
            time: dates.lastTime,
            zone: dates.zone,
          })
    }}
  </p>
  <template v-if="isAround">
    <h2 class="heading">{{ t('setup.dates.around') }}</h2>
    <AroundChoice :readonly="plan.isReadonly" @propose="proposals.propose($event)" />
  </template>
  <div class="halves">
    <section aria-labelledby="when">
      <h2 id="when" class="heading">{{ t('setup.dates.when') }}</h2>
      <div class="stack">
        <FieldFrame :label="t('setup.dates.firstDay')" of="dates.firstDay">
          <DayField
            id="field-firstDay"
            name="firstDay"
            keeps
            :warns-of-past="course.state === 'draft'"
            :day="dates.firstDay"
            :label="t('setup.dates.firstDay')"
            :readonly="plan.isReadonly"
            @day="proposals.propose([edit('firstDay', $event)])"
          />
        </FieldFrame>
        <LengthFields :readonly="plan.isReadonly" @propose="proposals.propose($event)" />
        <FieldFrame :label="t('setup.dates.weekStart')" of="dates.weekStart">
          <VSelect
            :model-value="dates.weekStart"
            :items="weekdays"
            :label="t('setup.dates.weekStart')"
            :readonly="plan.isReadonly"
            @update:model-value="proposals.propose([edit('weekStart', $event)])"
          />
        </FieldFrame>
        <FieldFrame :label="t('setup.dates.zone')" of="dates.zone" :help="t('setup.help.zone')">
          <ZoneField
            :zone="dates.zone"
            :label="t('setup.dates.zone')"
            :readonly="plan.isReadonly"
            @set="plan.change([edit('zone', $event)])"
          />
        </FieldFrame>
      </div>
    </section>
    <section aria-labelledby="pauses">
      <h2 id="pauses" class="heading">{{ t('setup.dates.pauses') }}</h2>
      <div class="stack">
        <PauseList :readonly="plan.isReadonly" @propose="proposals.propose($event)" />
        <CheckField
          v-if="!hasTogether && dates.pace === 'joining'"
          :checked="dates.pausesForJoiners"
          :disabled="plan.isReadonly"
          @toggle="plan.change([edit('pausesForJoiners', $event)])"
        >
          {{ t('setup.dates.pausesForJoiners') }}
        </CheckField>
        <HandInFields :readonly="plan.isReadonly" />
        <FieldFrame :label="t('setup.dates.teachingDays')" of="dates.teachingDays">
          <SeveralField
            :values="dates.teachingDays"
            :options="weekdays"
            :least="1"
            :label="t('setup.dates.teachingDays')"
            :hint="t('setup.dates.teachingDaysHint')"
            :readonly="plan.isReadonly"
            @choose="proposals.propose([edit('teachingDays', $event)])"
          />
        </FieldFrame>
      </div>
    </section>
  </div>
  <OffWeekChoice
    v-if="
      planned.midWeek ||
      (dates.offWeek !== 'falls' && dates.firstDay && dates.format === 'weeks' && hasTogether)
    "
    class="off-week"
    :readonly="plan.isReadonly"
    @propose="proposals.propose($event)"
  />
  <template v-if="dates.format === 'meetings'">
    <h2 class="heading">{{ t('setup.dates.patterns') }}</h2>
    <MeetingPatterns :readonly="plan.isReadonly" @propose="proposals.propose($event)" />
  </template>
  <ul v-if="here.length > 0" class="findings">
    <FindingLine v-for="finding in here" :key="finding.rule" :finding="finding" here />
  </ul>
  <LaterPart><EventFields :readonly="plan.isReadonly" /></LaterPart>
  <LaterPart v-if="!isAround">
    <h2 class="heading">{{ t('setup.dates.computed') }}</h2>
    <DatesTable :readonly="plan.isReadonly" @propose="proposals.propose($event)" />
    <div v-if="!plan.isReadonly" class="fill">
      <PushButton v-if="planned.spare.length > 0" @click="fillSpare">
        {{ t('setup.dates.fillSpare', planned.spare.length) }}
      </PushButton>
      <PushButton v-if="dates.format === 'meetings'" @click="addMeeting">
        <IconPlus :size="16" aria-hidden="true" /> {{ t('setup.dates.addMeeting') }}
      </PushButton>
    </div>
  </LaterPart>
  <WhatIfDialog :proposals="proposals" />
</template>

<style scoped>
.heading {
  margin: 18px 0 8px;
}

.halves {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 20px;
  align-items: start;
}

.stack {
  display: grid;
  gap: 12px;
}

.check {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 32px;
}

.off-week {
  margin-top: 14px;
}

.results {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 28px;
  margin: 14px 0 0;
  padding: 8px 16px;
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

.fill {
  display: flex;
  gap: 8px;
  margin-top: 10px;
}

@media (max-width: 900px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
}
</style>
