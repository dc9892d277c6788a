<script setup lang="ts">
/** What is kept where, of what somebody is writing. */
import { IconAlertTriangle, IconCloudCheck, IconDeviceMobile, IconPencil } from '@tabler/icons-vue';
import type { Keeping } from './use-begun.ts';

defineProps<{ keeping: Keeping; words: string; hidden?: boolean }>();
const SIGNS = {
  kept: IconCloudCheck,
  typing: IconPencil,
  here: IconDeviceMobile,
  nowhere: IconAlertTriangle,
  elsewhere: IconAlertTriangle,
} as const;
</script>

<template>
  <p class="keeping" role="status">
    <template v-if="!hidden">
      <component :is="SIGNS[keeping]" :size="16" aria-hidden="true" /> {{ words }}
    </template>
  </p>
</template>

<style scoped>
.keeping {
  display: flex;
  gap: 6px;
  align-items: center;
  min-height: 22px;
  color: var(--ink-soft);
  font-size: 14px;
}

.keeping:empty {
  display: none;
}
</style>
