<script setup lang="ts">
/** What is on a long stop, to jump to. */
import { nextTick } from 'vue';
import { useI18n } from 'vue-i18n';
import { makeAll } from '../../ui/frame/later.ts';

defineProps<{ parts: readonly (readonly [id: string, words: string])[] }>();
const { t } = useI18n();

/** The browser jumps to what is there: a part that is not made yet is made first. */
async function jump(event: MouseEvent, id: string): Promise<void> {
  if (document.getElementById(id) !== null || event.ctrlKey || event.metaKey || event.shiftKey) return;
  event.preventDefault();
  makeAll();
  await nextTick();
  location.hash = id;
}
</script>

<template>
  <nav class="parts" :aria-label="t('setup.access.onThisPage')">
    <a v-for="[id, words] in parts" :key="id" :href="`#${id}`" @click="jump($event, id)">{{ words }}</a>
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
