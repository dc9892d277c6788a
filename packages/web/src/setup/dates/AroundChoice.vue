<script setup lang="ts">
/** Around one item: which, and what is read before it. */
import { allLivingItems, isContent, livingSections, setDates } from '@itinerary/core';
import type { Edit } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { VSelect } from 'vuetify/components/VSelect';
import { usePlan } from '../../stores/plan.ts';
import TextField from '../text/TextField.vue';

defineProps<{ readonly: boolean }>();
const emit = defineEmits<{ propose: [edits: readonly Edit[]] }>();
const { t } = useI18n();
const plan = usePlan();
const course = computed(() => plan.course!);
const items = computed(() =>
  livingSections(course.value)
    .flatMap((section) => allLivingItems(section))
    .filter((item) => isContent(item))
    .map(({ id, title, kind }) => ({ value: id, title: `${t(`learner.kinds.${kind}`)}: ${title}` })),
);

function choose(id: string | null): void {
  if (id !== course.value.dates.around) emit('propose', [setDates(course.value, 'around', id)]);
}
</script>

<template>
  <div class="around">
    <VSelect
      id="field-around"
      :model-value="course.dates.around"
      :items="items"
      :label="t('setup.dates.aroundItem')"
      :no-data-text="t('setup.dates.aroundNone')"
      :readonly="readonly"
      @update:model-value="choose"
    />
    <TextField
      :target="course.id"
      field="introduction"
      :hash="course.introduction"
      :label="t('setup.dates.introduction')"
    />
  </div>
</template>

<style scoped>
.around {
  display: grid;
  gap: 12px;
  max-width: 780px;
}
</style>
