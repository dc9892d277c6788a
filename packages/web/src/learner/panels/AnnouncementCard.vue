<script setup lang="ts">
/** One announcement as it is read. */
import { IconPaperclip, IconPin } from '@tabler/icons-vue';
import type { AnnouncementView } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { formatBytes } from '../../words/bytes.ts';
import { formatDay } from '../../words/dates.ts';
import RichText from '../text/RichText.vue';

defineProps<{
  announcement: AnnouncementView;
  html: string | null;
  today: string;
  level: 2 | 3 | 4;
  isNew?: boolean;
  /** On the home page only its beginning stands. */
  brief?: boolean;
  /** Where an attached file is; null: it is only named. */
  fileHref: ((hash: string) => string) | null;
}>();
const { t, locale } = useI18n();
</script>

<template>
  <article :class="{ pinned: announcement.pinned }">
    <header>
      <component :is="`h${level}`">
        <IconPin
          v-if="announcement.pinned"
          :size="16"
          :aria-label="t('learner.announcements.pinned')"
          role="img"
        />
        <slot name="subject">{{ announcement.subject }}</slot>
        <span v-if="isNew" class="new">{{ t('learner.announcements.new') }}</span>
      </component>
      <p class="figures soft">{{ formatDay(announcement.from.day, locale, { today }) }}</p>
    </header>
    <div :class="{ brief }"><RichText v-if="html" :html="html" /></div>
    <ul v-if="announcement.files.length > 0">
      <li v-for="file in announcement.files" :key="file.hash">
        <IconPaperclip :size="16" aria-hidden="true" />
        <a v-if="fileHref" :href="fileHref(file.hash)">{{ file.name }}</a>
        <span v-else>{{ file.name }}</span>
        <span class="figures soft">{{ formatBytes(file.size, locale) }}</span>
      </li>
    </ul>
    <slot />
  </article>
</template>

<style scoped>
article {
  padding: 12px 0;
  border-bottom: 1px solid var(--rule);
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: baseline;
  justify-content: space-between;
}

h2,
h3,
h4 {
  font-size: 16.5px;
}

h2 svg,
h3 svg,
h4 svg {
  margin-inline-end: 4px;
  color: var(--route);
  vertical-align: -2px;
}

.new {
  margin-inline-start: 6px;
  padding: 1px 7px;
  border-radius: 4px;
  background: var(--bottle);
  color: var(--on-bottle);
  font-family: var(--font-text);
  font-size: 12px;
  font-weight: 550;
}

.brief {
  display: -webkit-box;
  overflow: hidden;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 4;
}

ul {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 28px;
}
</style>
