<script setup lang="ts">
/** How much of what counts is done, in words and as a line that fills. */
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';

const props = defineProps<{ done: number; counted: number }>();
const { t } = useI18n();
const width = computed(() => `${(100 * props.done) / props.counted}%`);
</script>

<template>
  <span class="done-line">
    <span class="figures">{{ t('learner.progress.done', { done, counted }) }}</span>
    <span class="line" aria-hidden="true"><span :style="{ width }" /></span>
  </span>
</template>

<style scoped>
.done-line,
.line,
.line span {
  display: block;
}

.line {
  height: 9px;
  margin-top: 6px;
  border: 1px solid var(--route);
  border-radius: 5px;
  overflow: hidden;
}

.line span {
  height: 100%;
  background: var(--route);
}
</style>
