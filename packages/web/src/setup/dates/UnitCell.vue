<script setup lang="ts">
/** How long a unit is, and the date that it is pinned to. */
import { IconPin, IconPinnedFilled } from '@tabler/icons-vue';
import { unitSpanSchema } from '@itinerary/core';
import type { Edit, FieldValue, Section } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import DayField from '../../ui/fields/DayField.vue';
import { usePlan } from '../../stores/plan.ts';

const props = defineProps<{ section: Section; title: string; readonly: boolean }>();
const emit = defineEmits<{ propose: [edits: readonly Edit[]] }>();
const { t } = useI18n();
const plan = usePlan();

const count = ref(String(props.section.span.count));
watch(
  () => props.section.span.count,
  (now) => (count.value = String(now)),
);
const isRight = computed(
  () => unitSpanSchema.safeParse({ ...props.section.span, count: Number(count.value || 'x') }).success,
);

function set(field: 'span' | 'pin', value: FieldValue): void {
  const was = props.section[field] as FieldValue;
  emit('propose', [{ kind: 'set', target: props.section.id, field, value, was }]);
}

function setCount(): void {
  if (!isRight.value) count.value = String(props.section.span.count);
  else if (Number(count.value) !== props.section.span.count)
    set('span', { ...props.section.span, count: Number(count.value) });
}

/** Pinned where it stands now; from there it can be moved. */
function pin(): void {
  const span = plan.planned?.sections.find(({ id }) => id === props.section.id)?.span;
  const day = span?.kind === 'slot' ? span.slot.first : plan.course?.dates.firstDay;
  if (day) set('pin', day);
}
</script>

<template>
  <div class="unit">
    <input
      v-model="count"
      class="input small figures"
      type="number"
      min="1"
      max="370"
      :aria-label="t('setup.dates.spanOf', { title })"
      :aria-invalid="!isRight"
      :readonly="readonly"
      @change="setCount"
    />
    <select
      class="input small"
      :value="section.span.unit"
      :aria-label="t('setup.dates.spanUnit', { title })"
      :disabled="readonly"
      @change="set('span', { ...section.span, unit: ($event.target as HTMLSelectElement).value })"
    >
      <option value="weeks">{{ t('setup.dates.units.weeks', section.span.count) }}</option>
      <option value="days">{{ t('setup.dates.units.days', section.span.count) }}</option>
    </select>
    <button
      type="button"
      class="button bare square"
      :aria-pressed="section.pin !== null"
      :aria-label="t('setup.dates.pinIt', { title })"
      :title="t(section.pin === null ? 'setup.dates.pin' : 'setup.dates.unpin')"
      :disabled="readonly"
      @click="section.pin === null ? pin() : set('pin', null)"
    >
      <component :is="section.pin === null ? IconPin : IconPinnedFilled" :size="17" aria-hidden="true" />
    </button>
    <DayField
      v-if="section.pin !== null"
      name="pin"
      class="pin"
      :day="section.pin"
      :label="t('setup.dates.pinnedTo')"
      :readonly="readonly"
      settles
      @day="set('pin', $event)"
    />
  </div>
</template>

<style scoped>
.unit {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
}

input {
  width: 58px;
}

.pin {
  width: 190px;
}
</style>
