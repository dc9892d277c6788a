<script setup lang="ts">
/** Courses that cannot be read: which they are, and that nothing else is touched by it. */
import type { DeskAnswer } from '@itinerary/contract';
import { useI18n } from 'vue-i18n';
import FindingSign from '../ui/frame/FindingSign.vue';

defineProps<{ courses: DeskAnswer['broken'] }>();
const { t } = useI18n();
</script>

<template>
  <ul class="broken">
    <li v-for="{ id, code, title } in courses" :key="id">
      <FindingSign severity="blocker" />
      <span>{{ t('desk.broken', { title, code }) }}</span>
    </li>
  </ul>
</template>

<style scoped>
.broken {
  display: grid;
  gap: 6px;
  margin: 12px 0;
  padding: 0;
  list-style: none;
}

.broken li {
  display: flex;
  gap: 8px;
  align-items: center;
  overflow-wrap: anywhere;
}
</style>
