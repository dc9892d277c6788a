<script setup lang="ts">
/** The outcomes that an item teaches, and those that work assesses. */
import { isWork, listOutcomes } from '@itinerary/core';
import type { ContentItem } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import SeveralField from '../../../ui/fields/choice/SeveralField.vue';

const props = defineProps<{ item: ContentItem; readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const outcomes = computed(() =>
  listOutcomes(plan.course!).map(({ id, text }) => ({ value: id, title: text })),
);

function set(field: 'teaches' | 'assesses', value: readonly string[]): void {
  const was = field === 'teaches' ? props.item.teaches : isWork(props.item) ? props.item.assesses : [];
  plan.set(props.item.id, field, value, was);
}
</script>

<template>
  <template v-if="outcomes.length > 0">
    <SeveralField
      :values="item.teaches"
      :options="outcomes"
      :label="t('setup.outline.teaches')"
      chips
      :readonly="readonly"
      @choose="set('teaches', $event)"
    />
    <SeveralField
      v-if="isWork(item)"
      :values="item.assesses"
      :options="outcomes"
      :label="t('setup.outline.assesses')"
      chips
      :readonly="readonly"
      @choose="set('assesses', $event)"
    />
  </template>
</template>
