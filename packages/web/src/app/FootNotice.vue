<script setup lang="ts">
/** What went wrong with the page itself, at its foot; what else can be done about it stands in the slot. */
import { useI18n } from 'vue-i18n';
import PushButton from '../ui/frame/PushButton.vue';

defineProps<{ text: string }>();
defineEmits<{ close: [] }>();
const { t } = useI18n();
</script>

<template>
  <p class="notice" role="alert">
    {{ text }}
    <slot />
    <PushButton small @click="$emit('close')">{{ t('common.close') }}</PushButton>
  </p>
</template>

<style scoped>
.notice {
  position: fixed;
  inset-inline-end: 16px;
  bottom: 16px;
  z-index: 3000;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  justify-content: end;
  max-width: calc(100vw - 32px);
  padding: 10px 14px;
  border: 1px solid var(--blocker);
  border-radius: 6px;
  background: var(--blocker-pale);
}

/* Above the tabs of a course, so that one can go elsewhere. */
@media (max-width: 620px) {
  .notice {
    bottom: 76px;
  }
}
</style>
