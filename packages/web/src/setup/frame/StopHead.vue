<script setup lang="ts">
/** Every stop opens with its name and one sentence on what it decides. */
import { useI18n } from 'vue-i18n';
import type { Stop } from './stops.ts';

defineProps<{ stop: Stop }>();
const { t } = useI18n();
</script>

<template>
  <header class="head">
    <h1>{{ t(`setup.stops.${stop}`) }}</h1>
    <p class="soft">{{ t(`setup.leads.${stop}`) }}</p>
  </header>
</template>

<style scoped>
.head {
  margin-bottom: 18px;
}

.head p {
  max-width: 66ch;
  margin-top: 2px;
}
</style>
