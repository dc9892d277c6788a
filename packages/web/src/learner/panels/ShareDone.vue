<script setup lang="ts">
/** How much of what counts is done, what is next, and the way to where it is told item by item. */
import type { PanelView } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import DoneLine from '../../ui/progress/DoneLine.vue';
import FinishedPart from '../../ui/progress/FinishedPart.vue';
import ItemWay from '../../ui/progress/ItemWay.vue';

/** `at`: where the course is; null: in previews, where nothing has an address. */
defineProps<{
  panel: Extract<PanelView, { readonly kind: 'progress' }>;
  at: string | null;
  zone: string;
  today: string;
}>();
const emit = defineEmits<{ open: [item: string]; far: [] }>();
const { t } = useI18n();
</script>

<template>
  <div class="share">
    <FinishedPart :finished="panel.finished" :zone="zone" :today="today" :is-link="at !== null" />
    <DoneLine :done="panel.share.done" :counted="panel.share.counted" />
    <p v-if="panel.next !== null" class="next">
      <span class="soft">{{ t('learner.progress.next') }}</span>
      <ItemWay
        :to="at === null ? null : `${at}/items/${panel.next.id}`"
        @open="emit('open', panel.next.id)"
        >{{ panel.next.title }}</ItemWay
      >
    </p>
    <p>
      <ItemWay :to="at === null ? null : `${at}/how-far`" @open="emit('far')">{{
        t('learner.progress.howFar')
      }}</ItemWay>
    </p>
  </div>
</template>

<style scoped>
.share {
  display: grid;
  gap: 8px;
}

.next {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 6px;
  overflow-wrap: anywhere;
}
</style>
