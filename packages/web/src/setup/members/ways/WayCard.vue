<script setup lang="ts">
/** One way in: its switch and what it means today, its window, seats and domains; what is its own stands in the slots. */
import { MAX_SEATS, setTableEntry } from '@itinerary/core';
import type { SwitchedWay, WayIn } from '@itinerary/core';
import { wayIn } from '@itinerary/core/people';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import NumberField from '../../../ui/fields/NumberField.vue';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import MomentForm from '../../outline/dialogs/MomentForm.vue';
import type { Ways } from './use-ways.ts';
import { useWaySentence } from './way-sentence.ts';
import WhoMay from './WhoMay.vue';

const props = defineProps<{
  kind: SwitchedWay;
  held: Ways;
  /** What has to be there before it is switched on; false: it does not come about. */
  before?: () => Promise<boolean>;
  isUnderWay?: boolean;
  /** Whom it is for is said elsewhere. */
  withoutDomains?: boolean;
}>();
const { t } = useI18n();
const plan = usePlan();
const course = computed(() => plan.course!);
const way = computed(() => (plan.planned === null ? null : wayIn(plan.planned, props.kind)));
const sentence = useWaySentence(
  () => props.kind,
  () => props.held.ways.value,
);

function set(change: Partial<WayIn>): void {
  const now = way.value;
  if (now !== null) plan.change([setTableEntry(course.value, 'ways', props.kind, { ...now, ...change })]);
}
async function toggle(on: boolean): Promise<void> {
  if (on && props.before !== undefined && !(await props.before())) return;
  set({ on });
}

defineExpose({ set });
</script>

<template>
  <div v-if="way !== null" :id="`field-ways-${kind}`" :class="['way', { on: way.on }]" tabindex="-1">
    <CheckField :checked="way.on" :disabled="plan.isReadonly || isUnderWay === true" @toggle="toggle">
      <strong>{{ t(`setup.members.ways.${kind}`) }}</strong>
    </CheckField>
    <p>{{ sentence }}</p>
    <slot name="always" />
    <template v-if="way.on">
      <slot :way="way" :set="set" />
      <div class="pair">
        <fieldset :disabled="plan.isReadonly">
          <legend>{{ t('setup.members.ways.opens') }}</legend>
          <MomentForm
            :id="`way-${kind}`"
            field="opens"
            of-course
            of-way
            :model-value="way.opens"
            @update:model-value="set({ opens: $event })"
          />
        </fieldset>
        <fieldset :disabled="plan.isReadonly">
          <legend>{{ t('setup.members.ways.closes') }}</legend>
          <MomentForm
            :id="`way-${kind}`"
            field="until"
            of-course
            of-way
            :model-value="way.closes"
            @update:model-value="set({ closes: $event })"
          />
        </fieldset>
      </div>
      <div class="pair">
        <NumberField
          :label="t('setup.members.ways.ownSeats')"
          :number="way.seats"
          :least="1"
          :most="MAX_SEATS"
          :readonly="plan.isReadonly"
          @set="set({ seats: $event })"
        />
      </div>
      <WhoMay
        v-if="!withoutDomains"
        :way="way"
        :gives-role="kind === 'link' || kind === 'request'"
        @set="set"
      />
      <CheckField
        v-if="way.seats !== null"
        :checked="way.line"
        :disabled="plan.isReadonly"
        @toggle="set({ line: $event })"
      >
        {{ t('setup.members.ways.ownLine') }}
      </CheckField>
    </template>
  </div>
</template>

<style scoped>
.way {
  display: grid;
  gap: 10px;
  padding: 10px 14px;
  border: 1px solid var(--rule);
  border-top: 3px solid var(--rule);
  background: var(--card);
}

.way.on {
  border-top-color: var(--route);
}

.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
  gap: 12px;
}

fieldset {
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  margin-bottom: 4px;
  font-weight: 600;
}
</style>
