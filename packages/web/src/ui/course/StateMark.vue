<script setup lang="ts">
import { IconArchive, IconPencil } from '@tabler/icons-vue';
import type { CourseState } from '@itinerary/core';
import { useI18n } from 'vue-i18n';

defineProps<{ state: CourseState }>();
const { t } = useI18n();
</script>

<template>
  <span :class="['state', state]">
    <svg v-if="state === 'live'" viewBox="0 0 16 16" width="16" height="16" aria-hidden="true">
      <circle cx="8" cy="8" r="4" fill="currentColor" />
    </svg>
    <IconPencil v-else-if="state === 'draft'" :size="16" aria-hidden="true" />
    <IconArchive v-else :size="16" aria-hidden="true" />
    {{ t(`common.states.${state}`) }}
  </span>
</template>

<style scoped>
.state {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  color: var(--staff);
}

.state.live {
  color: var(--open);
}
</style>
