<script setup lang="ts">
/** How much of what counts is done: one tick on the line for each item, where they are few enough to be told apart. */
import type { Share } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

/** `to`: where it is told item by item; in previews it is nowhere. */
const props = defineProps<{ share: Share; to?: string }>();
const { t } = useI18n();
const width = computed(() => `${(100 * props.share.done) / props.share.counted}%`);
</script>

<template>
  <div class="share">
    <p class="figures">{{ t('learner.progress.done', { done: share.done, counted: share.counted }) }}</p>
    <div class="line" aria-hidden="true"><span :style="{ width }" /></div>
    <p v-if="to !== undefined">
      <RouterLink :to="to">{{ t('learner.progress.howFar') }}</RouterLink>
    </p>
  </div>
</template>

<style scoped>
.line {
  height: 9px;
  margin-top: 6px;
  border: 1px solid var(--route);
  border-radius: 5px;
  overflow: hidden;
}

.line span {
  display: block;
  height: 100%;
  background: var(--route);
}
</style>
