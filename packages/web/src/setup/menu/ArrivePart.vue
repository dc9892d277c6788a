<script setup lang="ts">
/** Where learners arrive, and where they do the first time. */
import { allLivingItems, arrivalAt, isContentKind, livingSections, onceLive } from '@itinerary/core';
import type { Arrival, Arrive, FieldValue } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useSeeing } from '../../stores/seeing.ts';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import { useActs } from '../frame/acts.ts';
import { useNodeTitle } from '../node-title.ts';
import StartPageDialog from './StartPageDialog.vue';
import PushButton from '../../ui/frame/PushButton.vue';

defineProps<{ readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const seeing = useSeeing();
const { marker } = useActs();
const titleOf = useNodeTitle();
const isStarting = ref(false);

type Way = Arrive['at'] | 'same';
const WAYS: readonly Arrive['at'][] = ['home', 'sections', 'announcements', 'current', 'left_off', 'page'];
const FIELDS = ['arrive', 'firstArrive'] as const;
type Field = (typeof FIELDS)[number];

const course = computed(() => plan.course!);
const pages = computed(() =>
  livingSections(course.value)
    .flatMap((section) => allLivingItems(section))
    .filter(({ kind }) => isContentKind(kind))
    .map(({ id, title }) => ({ value: id, title })),
);
const wayOf = (field: Field): Way => course.value[field]?.at ?? 'same';
const pageOf = (field: Field): string => {
  const arrive = course.value[field];
  return arrive?.at === 'page' ? arrive.item : '';
};
const options = (field: Field): { value: Way; title: string }[] => [
  ...(field === 'firstArrive' ? [{ value: 'same' as const, title: t('setup.menu.arrive.same') }] : []),
  ...WAYS.filter((way) => way !== 'page' || pages.value.length > 0)
    .filter((way) => field === 'arrive' || way !== 'left_off')
    .map((way) => ({ value: way, title: t(`setup.menu.arrive.ways.${way}`) })),
];

function set(field: Field, value: Arrive | null): void {
  plan.set(course.value.id, field, value as FieldValue, course.value[field] as FieldValue);
}
function choose(field: Field, way: Way): void {
  if (way === 'same') set(field, null);
  else if (way !== 'page') set(field, { at: way });
  else set(field, { at: 'page', item: pageOf(field) || (pages.value[0]?.value ?? '') });
}

/** What it comes to, for whoever one looks as, at the marker's moment. */
function comesTo(isFirst: boolean): string {
  const live = onceLive(course.value);
  const visits = { isFirst, last: null };
  const arrival: Arrival = arrivalAt(
    live,
    seeing.viewer,
    marker.moment.value,
    visits,
    plan.face,
    plan.planned,
  );
  return 'id' in arrival
    ? t('setup.menu.arrive.at', { title: titleOf(arrival.id) ?? '' })
    : t('setup.menu.arrive.at', { title: t(`learner.areas.${arrival.to}`) });
}
</script>

<template>
  <section aria-labelledby="arrive-part">
    <h2 id="arrive-part">{{ t('setup.menu.parts.arrive') }}</h2>
    <div v-for="field in FIELDS" :id="`field-${field}`" :key="field" class="pair" tabindex="-1">
      <SelectField
        :label="t(`setup.menu.arrive.${field}`)"
        :value="wayOf(field)"
        :options="options(field)"
        :disabled="readonly"
        @choose="choose(field, $event)"
      />
      <SelectField
        v-if="wayOf(field) === 'page'"
        :label="t('setup.menu.arrive.which')"
        :value="pageOf(field)"
        :options="pages"
        :disabled="readonly"
        @choose="set(field, { at: 'page', item: $event })"
      />
      <p class="figures soft">{{ comesTo(field === 'firstArrive') }}</p>
    </div>
    <p class="offer">
      <PushButton :disabled="readonly" @click="isStarting = true">
        {{ t('setup.menu.start.offer') }}
      </PushButton>
      <span class="soft">{{ t('setup.menu.start.text') }}</span>
    </p>
    <StartPageDialog v-model="isStarting" />
  </section>
</template>

<style scoped>
.pair {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: end;
  margin-top: 10px;
}

.pair p {
  min-height: 30px;
}

.offer {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  margin-top: 14px;
}
</style>
