<script setup lang="ts">
/** A file as a learner gets it: a picture with its words, a film, a sound, or something to save. */
import { IconDownload } from '@tabler/icons-vue';
import type { CourseFileRef } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatBytes } from '../../words/bytes.ts';

const props = defineProps<{ file: CourseFileRef; href: string }>();
const { t, locale } = useI18n();
const way = computed(() => props.file.type.split('/')[0]);
const credit = computed(() => [props.file.author, props.file.licence].filter(Boolean).join(' · '));
</script>

<template>
  <figure class="file">
    <img v-if="way === 'image'" :src="href" :alt="file.alt ?? ''" />
    <video v-else-if="way === 'video'" :src="href" controls preload="metadata" />
    <audio v-else-if="way === 'audio'" :src="href" controls preload="metadata" />
    <a v-else class="button main" :href="href" download>
      <IconDownload :size="18" aria-hidden="true" /> {{ t('learner.download', { name: file.name }) }}
      <span class="figures">{{ formatBytes(file.size, locale) }}</span>
    </a>
    <figcaption v-if="credit" class="soft">{{ credit }}</figcaption>
  </figure>
</template>

<style scoped>
.file {
  margin: 20px 0 0;
}

img,
video {
  max-width: 100%;
  border-radius: 6px;
}

figcaption {
  margin-top: 4px;
  font-size: 13px;
}
</style>
