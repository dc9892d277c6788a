<script setup lang="ts">
import { IconAlertTriangle, IconCheck, IconDots, IconRefresh } from '@tabler/icons-vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatTime } from '../../words/dates.ts';
import { usePlan } from '../../stores/plan.ts';

const { t, locale } = useI18n();
const plan = usePlan();

const sentence = computed(() => {
  switch (plan.saving) {
    case 'saving':
      return t('setup.saving.saving');
    case 'retrying':
      return plan.onDevice > 0 ? t('setup.saving.kept', plan.onDevice) : t('setup.saving.retrying');
    case 'stopped':
      return plan.onDevice > 0 ? t('setup.saving.stoppedKept', plan.onDevice) : t('setup.saving.stopped');
    case 'saved':
      return plan.savedAt === null
        ? t('setup.saving.allSaved')
        : t('setup.saving.saved', { time: formatTime(plan.savedAt, locale.value) });
  }
});
const icon = computed(
  () =>
    ({ saved: IconCheck, saving: IconDots, retrying: IconRefresh, stopped: IconAlertTriangle })[plan.saving],
);
</script>

<template>
  <span :class="['save-state', plan.saving]" role="status">
    <component :is="icon" :size="16" aria-hidden="true" />
    <span>{{ sentence }}</span>
  </span>
</template>

<style scoped>
.save-state {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  color: var(--bar-soft);
  font-size: 13px;
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
}

.retrying,
.stopped {
  padding: 3px 8px;
  border-radius: 4px;
  background: var(--go);
  color: var(--go-ink);
}
</style>
