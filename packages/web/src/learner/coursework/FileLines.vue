<script setup lang="ts">
/** Files that go with something, each to be had; pictures are shown where they stand, if so wanted. */
import { IconPaperclip } from '@tabler/icons-vue';
import { useI18n } from 'vue-i18n';
import { formatBytes } from '../../words/bytes.ts';

interface File {
  readonly hash: string;
  readonly name: string;
  readonly size: number;
  readonly type: string;
}
defineProps<{
  label: string;
  files: readonly File[];
  hrefOf: (hash: string) => string;
  pictures?: boolean;
}>();
const { locale } = useI18n();
</script>

<template>
  <ul v-if="files.length > 0" :class="['lines', { pictures }]" :aria-label="label">
    <li v-for="file in files" :key="file.hash">
      <a v-if="pictures && file.type.startsWith('image/')" :href="hrefOf(file.hash)" target="_blank">
        <img :src="hrefOf(file.hash)" :alt="file.name" loading="lazy" />
      </a>
      <template v-else>
        <IconPaperclip :size="17" aria-hidden="true" />
        <a :href="hrefOf(file.hash)" download>{{ file.name }}</a>
        <span class="soft figures">{{ formatBytes(file.size, locale) }}</span>
      </template>
    </li>
  </ul>
</template>

<style scoped>
.lines {
  margin: 0;
  padding: 0;
  list-style: none;
}

.pictures {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  margin-top: 8px;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
  min-height: 30px;
  overflow-wrap: anywhere;
}

img {
  display: block;
  max-width: min(260px, 100%);
  max-height: 180px;
  border: 1px solid var(--rule);
}
</style>
