<script setup lang="ts">
/** What is on a long stop, to jump to. */
import { useI18n } from 'vue-i18n';

defineProps<{ parts: readonly (readonly [id: string, words: string])[] }>();
const { t } = useI18n();
</script>

<template>
  <nav class="parts" :aria-label="t('setup.access.onThisPage')">
    <a v-for="[id, words] in parts" :key="id" :href="`#${id}`">{{ words }}</a>
  </nav>
</template>

<style scoped>
.parts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin-bottom: 16px;
  font-size: 13.5px;
}

a {
  display: inline-flex;
  align-items: center;
  min-height: 24px;
}
</style>
