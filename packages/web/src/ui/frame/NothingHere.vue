<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import PushButton from './PushButton.vue';

defineProps<{ title: string; text: string }>();
const { t } = useI18n();
</script>

<template>
  <main id="main" class="nothing">
    <svg viewBox="0 0 160 40" width="160" height="40" aria-hidden="true">
      <path d="M8 20h60" class="line" />
      <path d="M92 20h60" class="line ahead" />
      <circle cx="8" cy="20" r="6" class="stop" />
      <circle cx="152" cy="20" r="6" class="stop open" />
    </svg>
    <h1>{{ title }}</h1>
    <p class="soft">{{ text }}</p>
    <PushButton weight="main" to="/desk">{{ t('common.toDesk') }}</PushButton>
  </main>
</template>

<style scoped>
.nothing {
  display: grid;
  gap: 12px;
  justify-items: start;
  max-width: 520px;
  margin: 12vh auto 0;
  padding: 0 24px;
}

.line {
  stroke: var(--route);
  stroke-width: 3;
}

.ahead {
  stroke-dasharray: 3 6;
}

.stop {
  fill: var(--route);
  stroke: var(--route);
  stroke-width: 3;
}

.stop.open {
  fill: var(--mist);
}
</style>
