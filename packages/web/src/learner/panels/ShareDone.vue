<script setup lang="ts">
/** How much of what counts is done, and the way to where it is told item by item. */
import type { Share } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import DoneLine from '../../ui/progress/DoneLine.vue';

/** `to`: where it is told item by item; in previews it is nowhere. */
defineProps<{ share: Share; to?: string }>();
const { t } = useI18n();
</script>

<template>
  <div class="share">
    <DoneLine :done="share.done" :counted="share.counted" />
    <p v-if="to !== undefined">
      <RouterLink :to="to">{{ t('learner.progress.howFar') }}</RouterLink>
    </p>
  </div>
</template>
