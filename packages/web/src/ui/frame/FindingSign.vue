<script setup lang="ts">
/** A blocker is a brick diamond on its corner, advice an ochre bulb; the word is always beside it. */
import { IconBulb } from '@tabler/icons-vue';
import type { Severity } from '@itinerary/core';
import { useI18n } from 'vue-i18n';

defineProps<{ severity: Severity; size?: number }>();
const { t } = useI18n();
</script>

<template>
  <svg
    v-if="severity === 'blocker'"
    class="blocker"
    viewBox="0 0 16 16"
    :width="size ?? 16"
    :height="size ?? 16"
    role="img"
    :aria-label="t('common.severities.blocker')"
  >
    <path d="M8 1.5L14.5 8L8 14.5L1.5 8Z" />
  </svg>
  <IconBulb v-else class="advice" :size="size ?? 16" role="img" :aria-label="t('common.severities.advice')" />
</template>

<style scoped>
.blocker {
  flex: none;
  fill: none;
  stroke: var(--blocker);
  stroke-width: 2;
}

.advice {
  color: var(--advice);
}
</style>
