<script setup lang="ts">
/** How the course runs, chosen by its effect. A change is looked at before it is done. */
import { convertFormat, setDates } from '@itinerary/core';
import type { Edit, Format, Pace } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { newId } from '../../stores/new-id.ts';
import { usePlan } from '../../stores/plan.ts';
import ChoiceTiles from '../../ui/fields/choice/ChoiceTiles.vue';
import FormatDiagram from './FormatDiagram.vue';

defineProps<{ readonly: boolean }>();
const emit = defineEmits<{ propose: [edits: readonly Edit[]] }>();
const { t } = useI18n();
const plan = usePlan();
const dates = computed(() => plan.course!.dates);

const formats = computed(() =>
  (['weeks', 'units', 'meetings', 'item'] as const).map((value) => ({
    value,
    title: t(`setup.dates.formats.${value}`),
    text: t(`setup.dates.formatTexts.${value}`),
  })),
);
const paces = computed(() =>
  (['together', 'joining', 'none'] as const).map((value) => ({
    value,
    title: t(`setup.dates.paces.${value}`),
    text: t(`setup.dates.paceTexts.${value}`),
  })),
);
/** Meetings are held together; around one item there is nothing to pace. */
const hasPace = computed(() => dates.value.format === 'weeks' || dates.value.format === 'units');

function chooseFormat(format: Format): void {
  if (format !== dates.value.format) emit('propose', convertFormat(plan.course!, format, newId()));
}

function choosePace(pace: Pace): void {
  emit('propose', [setDates(plan.course!, 'pace', pace)]);
}
</script>

<template>
  <div class="choices">
    <!-- The key brings a radio back to what stands when its change is not made. -->
    <ChoiceTiles
      :key="`format ${dates.format}`"
      :legend="t('setup.dates.format')"
      legend-hidden
      :tiles="formats"
      :chosen="dates.format"
      :disabled="readonly"
      @choose="chooseFormat"
    >
      <template #sign="{ value }"><FormatDiagram :format="value" /></template>
    </ChoiceTiles>
    <ChoiceTiles
      v-if="hasPace"
      :legend="t('setup.dates.pace')"
      :tiles="paces"
      :chosen="dates.pace"
      :disabled="readonly"
      compact
      @choose="choosePace"
    />
  </div>
</template>

<style scoped>
.choices {
  display: grid;
  gap: 14px;
}
</style>
