<script setup lang="ts">
/** What one section holds, as a learner reads it. Also shown in setup. */
import type { ItemView, SectionView } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDays, formatMinutes } from '../../words/dates.ts';
import ItemLines from './ItemLines.vue';
import { sectionIndex } from './section-index.ts';
import { sectionTitle } from '../words/titles.ts';

const props = defineProps<{
  section: SectionView;
  today: string;
  level: 1 | 2;
  hrefFor?: (item: ItemView) => string;
}>();
const emit = defineEmits<{ open: [item: ItemView] }>();
const { t, locale } = useI18n();
const index = computed(() => sectionIndex(props.section));
</script>

<template>
  <article :class="['section', section.accent ? `accent-${section.accent}` : '']">
    <p v-if="section.days" class="figures soft">
      {{
        [
          formatDays(section.days.first, section.days.last, locale, today),
          section.meeting?.time,
          section.meeting?.place,
        ]
          .filter(Boolean)
          .join(' · ')
      }}
    </p>
    <component :is="`h${level}`" class="title">
      <span v-if="section.number" class="figures number">{{ section.number }}</span>
      {{ sectionTitle(section, t, locale) }}
    </component>
    <p v-if="section.summary" class="summary">{{ section.summary }}</p>
    <p class="soft figures">
      {{ t('learner.items', index.items)
      }}<template v-if="index.minutes > 0"> · {{ formatMinutes(index.minutes, locale) }}</template>
    </p>
    <div class="list">
      <ItemLines
        v-if="section.items.length > 0"
        :items="section.items"
        :today="today"
        v-bind="hrefFor === undefined ? {} : { hrefFor }"
        @open="emit('open', $event)"
      />
      <p v-else class="soft">{{ t('learner.nothingYet') }}</p>
    </div>
  </article>
</template>

<style scoped>
.section {
  width: 100%;
  max-width: 720px;
}

.title {
  margin: 4px 0;
  font-size: clamp(22px, 4.2vw, 30px);
  overflow-wrap: anywhere;
}

.number {
  margin-inline-end: 6px;
  color: var(--ink-soft);
  font-size: 0.72em;
  font-weight: 500;
}

.summary {
  margin: 6px 0;
  font-size: 16px;
}

.list {
  margin: 12px 0 0 -10px;
  padding-top: 8px;
  border-top: 3px solid var(--accent, var(--route));
}
</style>
