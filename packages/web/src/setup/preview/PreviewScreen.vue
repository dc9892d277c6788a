<script setup lang="ts">
/** The learner's own pages, resolved from the plan as it stands, for the marker's moment. */
import { IconArrowLeft } from '@tabler/icons-vue';
import { ANY_LEARNER, courseView, findNode, onceLive, share } from '@itinerary/core';
import type { CourseView } from '@itinerary/core';
import { computed, provide, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { path } from '../../api/client.ts';
import { itemToCarryOn } from '../../learner/carry-on.ts';
import CourseFace from '../../learner/CourseFace.vue';
import { FOLLOW } from '../../learner/follow.ts';
import ItemFace from '../../learner/ItemFace.vue';
import { readableItems } from '../../learner/section-index.ts';
import SectionFace from '../../learner/SectionFace.vue';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import { useTexts } from '../../stores/texts.ts';
import { useActs } from '../acts.ts';
import { useFilled } from '../text/filled.ts';

const { t } = useI18n();
const plan = usePlan();
const session = useSession();
const texts = useTexts();
const { marker } = useActs();
const reading = ref<string | null>(null);
provide(FOLLOW, (id) => (reading.value = id));
const inSection = ref<string | null>(null);

/**
 * A draft is shown as it would be once live: the point is to see it before. What an edit leaves alone is the
 * same object before and after, so that only the line concerned is drawn again.
 */
const view = computed<CourseView | null>((before) => {
  const { course, planned } = plan;
  if (course === null || planned === null) return null;
  return share(before ?? null, courseView(onceLive(course), ANY_LEARNER, marker.moment.value, planned));
});
const filled = useFilled(() => view.value);
const sections = computed(() => view.value?.sections ?? []);
const section = computed(() =>
  sections.value.find(({ id, state }) => id === inSection.value && state !== 'named'),
);
const place = computed(() => {
  for (const one of sections.value) {
    const item = readableItems(one.items).find(({ id }) => id === reading.value);
    if (item !== undefined) return { section: one, item };
  }
  return null;
});
function textOf(id: string | undefined): string | null {
  const node = id === undefined || plan.course === null ? undefined : findNode(plan.course, id)?.node;
  return node !== undefined && 'text' in node ? filled(texts.read(node.text)) : null;
}
const html = computed(() => textOf(place.value?.item.id));
const aroundHtml = computed(() => textOf(view.value?.around?.id));
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
      <ItemFace
        :section="place.section"
        :item="place.item"
        :html="html"
        :today="session.today"
        :zone="view.zone"
        :file-href="
          place.item.file === null ? null : path`/api/courses/${view.id}/files/${place.item.file.hash}`
        "
        :level="2"
      />
    </div>
    <div v-else-if="section" class="page">
      <button class="button small" type="button" @click="inSection = null">
        <IconArrowLeft :size="16" aria-hidden="true" /> {{ t('learner.allSections') }}
      </button>
      <SectionFace :section="section" :today="marker.day.value" :level="2" @open="reading = $event.id" />
    </div>
    <CourseFace
      v-else
      :course="view"
      :today="marker.day.value"
      :description-html="filled(texts.read(view.description))"
      :introduction-html="filled(texts.read(view.introduction))"
      :around-html="aroundHtml"
      :staff="[]"
      :carry-on="carryOn"
      :has-begun="false"
      :level="2"
      @open="reading = $event.id"
      @section="inSection = $event.id"
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
