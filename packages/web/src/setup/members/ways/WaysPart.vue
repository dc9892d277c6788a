<script setup lang="ts">
/** The ways in, the seats that they share, and who waits for one. */
import { MAX_ANSWER_HOURS, MAX_SEATS } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import NumberField from '../../../ui/fields/NumberField.vue';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import { useFieldFocus } from '../../fields/use-field-focus.ts';
import RegistryWay from '../registry/RegistryWay.vue';
import InvitationWay from './InvitationWay.vue';
import LinePart from './LinePart.vue';
import LinkWay from './LinkWay.vue';
import PayingWay from './PayingWay.vue';
import RequestWay from './RequestWay.vue';
import { useWays } from './use-ways.ts';

const emit = defineEmits<{ said: [words: string] }>();
const { t } = useI18n();
const plan = usePlan();
/** Its fields are there once the members are: whoever comes from a finding is shown them then. */
useFieldFocus();
const course = computed(() => plan.course!);
const held = useWays();
const { ways, missing } = held;
const taken = computed(
  () => ways.value?.learners.reduce((all, { count }) => all + count, 0) ?? plan.learners,
);
const hasLine = computed(
  () => course.value.line || Object.values(course.value.ways).some(({ on, line }) => on && line),
);
const isWaiting = computed(() => (ways.value?.waiting.length ?? 0) + (ways.value?.held.length ?? 0) > 0);
</script>

<template>
  <section class="ways" aria-labelledby="ways-in">
    <h2 id="ways-in">{{ t('setup.members.ways.title') }}</h2>
    <p v-if="missing" class="failure" role="alert">{{ missing }}</p>
    <div id="field-seats" class="whole" tabindex="-1">
      <NumberField
        class="seats"
        :label="t('setup.members.ways.seats')"
        :number="course.seats"
        :least="1"
        :most="MAX_SEATS"
        :readonly="plan.isReadonly"
        @set="plan.set(course.id, 'seats', $event, course.seats)"
      />
      <p class="soft">
        {{
          course.seats === null
            ? t('setup.members.ways.anySeats')
            : t('setup.members.ways.taken', { taken, seats: course.seats })
        }}
      </p>
      <CheckField
        :checked="course.mayLeave"
        :disabled="plan.isReadonly"
        @toggle="plan.set(course.id, 'mayLeave', $event, course.mayLeave)"
      >
        {{ t('setup.members.ways.mayLeave') }}
      </CheckField>
    </div>
    <div v-if="course.seats !== null || hasLine" class="whole">
      <CheckField
        v-if="course.seats !== null"
        :checked="course.line"
        :disabled="plan.isReadonly"
        @toggle="plan.set(course.id, 'line', $event, course.line)"
      >
        {{ t('setup.members.ways.line') }}
      </CheckField>
      <NumberField
        v-if="hasLine"
        class="hours"
        :label="t('setup.members.ways.answerHours')"
        :number="course.answerHours"
        :least="1"
        :most="MAX_ANSWER_HOURS"
        required
        :readonly="plan.isReadonly"
        @set="plan.set(course.id, 'answerHours', $event, course.answerHours)"
      />
    </div>
    <LinePart v-if="isWaiting" :held="held" @said="emit('said', $event)" />
    <div id="field-ways" class="each" tabindex="-1">
      <RegistryWay :held="held" @said="emit('said', $event)" />
      <LinkWay :held="held" @said="emit('said', $event)" />
      <InvitationWay :held="held" @said="emit('said', $event)" />
      <RequestWay :held="held" @said="emit('said', $event)" />
      <PayingWay :held="held" @said="emit('said', $event)" />
    </div>
  </section>
</template>

<style scoped>
.ways,
.each {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  max-width: 900px;
}

h2 {
  margin-top: 12px;
  font-size: 17px;
}

.whole {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}

.seats {
  flex: 0 0 200px;
}

.hours {
  flex: 0 0 240px;
}

.failure {
  color: var(--blocker);
}
</style>
