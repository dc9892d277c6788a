<script setup lang="ts">
/** How long a unit is, and the date that it is pinned to. */
import { IconPin, IconPinnedFilled } from '@tabler/icons-vue';
import { MAX_SPAN, setField } from '@itinerary/core';
import type { Edit, Section } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import DayField from '../../ui/fields/when/DayField.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import { usePlan } from '../../stores/plan.ts';
import PushButton from '../../ui/frame/PushButton.vue';

const props = defineProps<{ section: Section; title: string; readonly: boolean }>();
const emit = defineEmits<{ propose: [edits: readonly Edit[]] }>();
const { t } = useI18n();
const plan = usePlan();

const UNITS = ['weeks', 'days'] as const;

function set<Field extends 'span' | 'pin'>(field: Field, value: Section[Field]): void {
  emit('propose', [setField(props.section, field, value)]);
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
    <NumberField
      class="count"
      bare
      :number="section.span.count"
      :least="1"
      :most="MAX_SPAN"
      :label="t('setup.dates.spanOf', { title })"
      :readonly="readonly"
      required
      @set="$event !== null && set('span', { ...section.span, count: $event })"
    />
    <SelectField
      bare
      small
      :label="t('setup.dates.spanUnit', { title })"
      :value="section.span.unit"
      :options="UNITS.map((value) => ({ value, title: t(`setup.dates.units.${value}`, section.span.count) }))"
      :disabled="readonly"
      @choose="set('span', { ...section.span, unit: $event })"
    />
    <PushButton
      weight="bare"
      square
      :aria-pressed="section.pin !== null"
      :aria-label="t('setup.dates.pinIt', { title })"
      :title="t(section.pin === null ? 'setup.dates.pin' : 'setup.dates.unpin')"
      :disabled="readonly"
      @click="section.pin === null ? pin() : set('pin', null)"
    >
      <component :is="section.pin === null ? IconPin : IconPinnedFilled" :size="17" aria-hidden="true" />
    </PushButton>
    <DayField
      v-if="section.pin !== null"
      name="pin"
      class="pin"
      :day="section.pin"
      :label="t('setup.dates.pinnedTo')"
      :readonly="readonly"
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

.count {
  flex: 0 0 64px;
}

.pin {
  width: 190px;
}
</style>
