<script setup lang="ts">
/** What learners get before the first day, or after the last. */
import type { Outside } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import ChoiceTiles from '../../ui/fields/choice/ChoiceTiles.vue';
import FieldFrame from '../../ui/fields/FieldFrame.vue';

const props = defineProps<{ side: 'before' | 'after' }>();
const { t } = useI18n();
const plan = usePlan();

const tiles = computed(() =>
  (['closed', 'look', 'open'] as const).map((value) => ({
    value,
    title: t(`setup.access.outside.${value}`),
    text: t(`setup.access.${props.side}Texts.${value}`),
  })),
);

function choose(value: Outside): void {
  const { course } = plan;
  if (course !== null)
    plan.set(course.id, 'window', { ...course.window, [props.side]: value }, course.window);
}
</script>

<template>
  <FieldFrame :label="t(`setup.access.${side}`)" of="window" :help="t('setup.help.window')">
    <ChoiceTiles
      :legend="t(`setup.access.${side}`)"
      :tiles="tiles"
      :chosen="plan.course?.window[side] ?? 'open'"
      :disabled="plan.isReadonly"
      compact
      @choose="choose"
    />
  </FieldFrame>
</template>
