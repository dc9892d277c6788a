<script setup lang="ts">
/** One page as a learner reads it. Also shown in setup. */
import { IconExternalLink } from '@tabler/icons-vue';
import type { ItemView, SectionView } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { formatDays, formatMinutes } from '../app/dates.ts';
import { sectionTitle } from './titles.ts';

defineProps<{
  section: Pick<SectionView, 'number' | 'title' | 'days'>;
  item: ItemView;
  html: string | null;
  today: string;
  level: 1 | 2;
}>();
const { t, locale } = useI18n();
</script>

<template>
  <article class="reading">
    <p class="where figures">
      <span v-if="section.number" class="section-number">{{ section.number }}</span>
      <span class="words">{{ sectionTitle(section, t, locale) }}</span>
      <template v-if="section.days">
        · {{ formatDays(section.days.first, section.days.last, locale, today) }}</template
      >
    </p>
    <component :is="`h${level}`" class="title">
      <span v-if="item.number" class="figures number">{{ item.number }}</span> {{ item.title }}
    </component>
    <p v-if="item.minutes" class="soft figures">{{ formatMinutes(item.minutes) }}</p>
    <p v-if="item.kind === 'link'" class="link">
      <a
        v-if="item.address"
        class="button main"
        :href="item.address"
        target="_blank"
        rel="noopener noreferrer"
      >
        <IconExternalLink :size="18" aria-hidden="true" /> {{ t('learner.followLink') }}
      </a>
      <span v-else class="soft">{{ t('learner.noAddress') }}</span>
    </p>
    <!-- Sanitised on the server by an allow list. -->
    <!-- eslint-disable-next-line vue/no-v-html -->
    <div v-else-if="html" class="rich-text text" v-html="html" />
    <p v-else class="soft">{{ t('learner.noText') }}</p>
  </article>
</template>

<style scoped>
.reading {
  max-width: 720px;
}

.where {
  color: var(--ink-soft);
  font-size: 13.5px;
}

.section-number {
  margin-right: 6px;
}

.where .words {
  font-family: var(--font-text);
}

.title {
  margin: 4px 0 2px;
  font-size: clamp(22px, 4.2vw, 30px);
  overflow-wrap: anywhere;
}

.title .number {
  margin-right: 6px;
  color: var(--ink-soft);
  font-size: 0.72em;
  font-weight: 500;
}

.text {
  margin-top: 20px;
  font-size: 16px;
  line-height: 1.6;
}

.link {
  margin-top: 20px;
}
</style>
