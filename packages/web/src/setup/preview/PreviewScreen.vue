<script setup lang="ts">
/** The learner's own pages, resolved from the plan as it stands, for the marker's moment. */
import { IconArrowLeft } from '@tabler/icons-vue';
import { courseView } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { itemToCarryOn } from '../../learner/carry-on.ts';
import CourseFace from '../../learner/CourseFace.vue';
import ItemFace from '../../learner/ItemFace.vue';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import { useTexts } from '../../stores/texts.ts';
import { useActs } from '../acts.ts';

const { t } = useI18n();
const plan = usePlan();
const session = useSession();
const texts = useTexts();
const { marker } = useActs();
const reading = ref<string | null>(null);

/** A draft is shown as it would be once live: the point is to see it before. */
const view = computed(() => {
  const { course } = plan;
  if (course === null) return null;
  const shown = course.state === 'draft' ? { ...course, state: 'live' as const } : course;
  return courseView(shown, { role: 'learner', institutionStaff: false }, marker.moment.value);
});
const place = computed(() => {
  for (const section of view.value?.sections ?? []) {
    const item = section.items.find(({ id }) => id === reading.value);
    if (item !== undefined) return { section, item };
  }
  return null;
});
const html = computed(() => {
  const id = place.value?.item.id;
  for (const section of plan.course?.sections ?? []) {
    for (const item of section.items)
      if (item.id === id && item.kind === 'page') return texts.read(item.text);
  }
  return null;
});
const carryOn = computed(() => (view.value === null ? null : itemToCarryOn(view.value, null)));

watch(place, (now) => {
  if (now === null) reading.value = null;
});
</script>

<template>
  <div v-if="view" class="screen" tabindex="0" role="region" :aria-label="t('setup.preview.title')">
    <div v-if="place" class="page">
      <button class="button small" type="button" @click="reading = null">
        <IconArrowLeft :size="16" aria-hidden="true" /> {{ t('learner.allSections') }}
      </button>
      <ItemFace :section="place.section" :item="place.item" :html="html" :today="session.today" :level="2" />
    </div>
    <CourseFace
      v-else
      :course="view"
      :today="marker.day.value"
      :description-html="texts.read(view.description)"
      :staff="[]"
      :carry-on="carryOn"
      :has-begun="false"
      :level="2"
      @open="reading = $event.id"
    />
  </div>
</template>

<style scoped>
.screen {
  height: 100%;
  overflow-y: auto;
  background: var(--card);
  color: var(--ink);
}

.page {
  display: grid;
  gap: 12px;
  justify-items: start;
  padding: 16px;
}
</style>
