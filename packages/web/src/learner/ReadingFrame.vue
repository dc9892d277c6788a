<script setup lang="ts">
/** A page within a course, to read: the course's name above, the way back to all sections, and the page. */
import { IconArrowLeft } from '@tabler/icons-vue';
import { useI18n } from 'vue-i18n';
import AppBar from '../ui/AppBar.vue';
import LoadState from './LoadState.vue';
import type { Loading } from './use-answer.ts';

defineProps<{
  courseId: string;
  /** Null until it has come. */
  courseTitle: string | null;
  state: Loading;
}>();
const emit = defineEmits<{ again: [] }>();
const { t } = useI18n();
</script>

<template>
  <AppBar>
    <RouterLink v-if="courseTitle !== null" class="course" :to="`/courses/${courseId}`">{{
      courseTitle
    }}</RouterLink>
  </AppBar>
  <main v-if="state === 'there'" id="main" class="page">
    <RouterLink class="back" :to="`/courses/${courseId}`">
      <IconArrowLeft :size="17" aria-hidden="true" /> {{ t('learner.allSections') }}
    </RouterLink>
    <slot />
  </main>
  <LoadState v-else :state="state" @again="emit('again')" />
</template>

<style scoped>
.course {
  overflow: hidden;
  color: inherit;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.page {
  min-height: calc(100vh - var(--bar-height));
  padding: 20px max(16px, calc(50% - 360px)) 48px;
  background: var(--card);
}

.back {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 32px;
  margin-bottom: 12px;
}

@media (max-width: 520px) {
  .course {
    font-size: 14px;
  }
}
</style>
