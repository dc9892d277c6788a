<script setup lang="ts">
/** The outcomes that an item teaches, and those that work assesses. */
import { isWork, listOutcomes } from '@itinerary/core';
import type { ContentItem } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { VSelect } from 'vuetify/components/VSelect';
import { usePlan } from '../../../stores/plan.ts';

const props = defineProps<{ item: ContentItem; readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const outcomes = computed(() =>
  listOutcomes(plan.course!).map(({ id, text }) => ({ value: id, title: text })),
);
const known = (ids: readonly string[]): string[] =>
  ids.filter((id) => outcomes.value.some(({ value }) => value === id));

function set(field: 'teaches' | 'assesses', value: readonly string[]): void {
  const was = field === 'teaches' ? props.item.teaches : isWork(props.item) ? props.item.assesses : [];
  plan.set(props.item.id, field, value, was);
}
</script>

<template>
  <template v-if="outcomes.length > 0">
    <VSelect
      :model-value="known(item.teaches)"
      :items="outcomes"
      :label="t('setup.outline.teaches')"
      multiple
      chips
      :readonly="readonly"
      @update:model-value="set('teaches', $event)"
    />
    <VSelect
      v-if="isWork(item)"
      :model-value="known(item.assesses)"
      :items="outcomes"
      :label="t('setup.outline.assesses')"
      multiple
      chips
      :readonly="readonly"
      @update:model-value="set('assesses', $event)"
    />
  </template>
</template>
