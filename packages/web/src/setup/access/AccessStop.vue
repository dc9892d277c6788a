<script setup lang="ts">
/** What learners get before the first day and after the last, with what that comes to at those moments. */
import { stateAt } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { momentWords } from '../../words/moment-words.ts';
import PlainTable from '../../ui/frame/PlainTable.vue';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import { useActs } from '../frame/acts.ts';
import PartLinks from '../frame/PartLinks.vue';
import StopHead from '../frame/StopHead.vue';
import { useFieldFocus } from '../fields/use-field-focus.ts';
import ExceptionPart from './ExceptionPart.vue';
import FindPart from './FindPart.vue';
import GroupPart from './GroupPart.vue';
import MomentFields from './MomentFields.vue';
import OutsideField from './OutsideField.vue';
import { useBounds } from './use-bounds.ts';
import { windowMoments } from './moments.ts';
import RulePart from './RulePart.vue';
import WhyNot from './WhyNot.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import LaterPart from '../../ui/frame/LaterPart.vue';

const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
const acts = useActs();
useFieldFocus();

const course = computed(() => plan.course!);
const state = computed(() => stateAt(course.value, Date.parse(session.now())));
const { bounds, when } = useBounds();
const isByJoining = computed(
  () =>
    course.value.dates.pace === 'joining' &&
    (course.value.dates.format === 'weeks' || course.value.dates.format === 'units'),
);

const parts = computed((): readonly (readonly [string, string])[] => [
  ['access-find', t('setup.access.parts.find')],
  ['access-dates', t('setup.access.parts.dates')],
  ['access-moments', t('setup.access.moments')],
  ['access-rules', t('setup.access.parts.rules')],
  ['access-groups', t('setup.access.parts.groups')],
  ['access-exceptions', t('setup.access.parts.exceptions')],
  ['why-not', t('setup.access.why.title')],
]);

const SIDES = ['before', 'after'] as const;
type Side = (typeof SIDES)[number];

/** The real dates of the choice, in a sentence. */
const sentences = computed<Readonly<Record<Side, string>>>(() => {
  const { opensAt, closesAt } = bounds.value ?? { opensAt: null, closesAt: null };
  const { zone } = course.value.dates;
  return {
    before:
      opensAt === null
        ? t('setup.access.noFirstDay')
        : t('setup.access.opens', { when: when(opensAt), zone }),
    after: isByJoining.value
      ? t('setup.access.ownLastDay')
      : closesAt === null
        ? t('setup.access.noLastDay')
        : t('setup.access.closes', { when: when(closesAt), zone }),
  };
});

const moments = computed(() => (plan.planned === null ? [] : windowMoments(plan.planned, session.now())));
</script>

<template>
  <StopHead stop="access" />
  <PartLinks :parts="parts" />
  <div class="access">
    <p class="state">
      <strong>{{ t(`setup.bar.states.${state}`) }}</strong>
      {{
        course.state === 'draft' && course.goesLive !== null
          ? t('setup.access.goesLive', { when: momentWords(course.goesLive, locale, session.today) })
          : t(`setup.access.stateTexts.${state}`)
      }}
      <PushButton v-if="plan.rights.state" small @click="acts.goLive">
        {{ t(course.state === 'draft' ? 'setup.bar.goLive' : 'setup.bar.changeState') }}
      </PushButton>
    </p>
    <div v-if="course.state === 'draft' && plan.rights.state" id="field-goesLive" tabindex="-1">
      <MomentFields
        name="goes-live"
        :moment="course.goesLive"
        :label="t('setup.access.goesLiveOn')"
        @set="plan.set(course.id, 'goesLive', $event, course.goesLive)"
      />
    </div>
    <FindPart :readonly="plan.isReadonly" />
    <h2 id="access-dates">{{ t('setup.access.parts.dates') }}</h2>
    <div v-for="side in SIDES" :id="side === 'before' ? 'field-window' : undefined" :key="side" tabindex="-1">
      <OutsideField :side="side" />
      <p class="sentence soft">
        {{ sentences[side] }}
        <RouterLink
          v-if="bounds?.closesAt === null && side === 'after' && !isByJoining"
          :to="`/setup/${course.id}/dates`"
          >{{ t('setup.access.toDates') }}</RouterLink
        >
      </p>
    </div>
    <LaterPart>
      <section aria-labelledby="access-moments">
        <h2 id="access-moments">{{ t('setup.access.moments') }}</h2>
        <p class="soft">{{ t('setup.access.momentsText') }}</p>
        <PlainTable
          :columns="[
            { title: t('setup.access.when') },
            { title: t('setup.access.gets') },
            { title: t('setup.access.items') },
          ]"
        >
          <tr v-for="moment in moments" :key="moment.what">
            <th scope="row">
              {{ t(`setup.access.whats.${moment.what}`) }}
              <span class="figures soft">{{ when(Date.parse(moment.at)) }}</span>
            </th>
            <td>
              <span :class="['mark', moment.state]" aria-hidden="true" />
              {{ t(`setup.access.states.${moment.state}`) }}
            </td>
            <td class="figures">
              {{ t('setup.access.ofItems', { count: moment.readable, all: moment.all }) }}
            </td>
          </tr>
        </PlainTable>
      </section>
    </LaterPart>
    <LaterPart><RulePart :readonly="plan.isReadonly" /></LaterPart>
    <LaterPart><GroupPart :readonly="plan.isReadonly" /></LaterPart>
    <LaterPart><ExceptionPart :readonly="plan.isReadonly" /></LaterPart>
    <LaterPart><WhyNot :readonly="plan.isReadonly" /></LaterPart>
  </div>
</template>

<style scoped>
.access {
  display: grid;
  gap: 20px;
  max-width: 780px;
}

.state {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  padding: 8px 14px;
  border-top: 3px solid var(--route);
  background: var(--card);
}

.sentence {
  margin-top: 6px;
}

h2 {
  font-size: 17px;
}

tbody th .figures {
  display: block;
  font-size: 13px;
}

/* Open is green and a full stop; what opens later indigo and a ring; nothing is a dash. */
.mark {
  display: inline-block;
  width: 10px;
  height: 10px;
  margin-inline-end: 4px;
  border: 2px solid var(--open);
  border-radius: 50%;
}

.mark.open {
  background: var(--open);
}

.mark.named {
  border-color: var(--later);
}

.mark.absent {
  height: 0;
  border: 0;
  border-top: 2px dashed var(--staff);
  border-radius: 0;
}
</style>
