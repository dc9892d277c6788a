<script setup lang="ts">
/** The whole plan as one table: sections with the pauses between them, and what is in each. */
import type { CourseView, ItemView, PauseView, SectionView } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDay, formatDays, formatMinutes } from '../../words/dates.ts';
import { momentWords } from '../../words/moment-words.ts';
import { sectionIndex } from '../outline/section-index.ts';
import { sectionTitle } from '../words/titles.ts';

const props = defineProps<{ course: CourseView; today: string; level: 1 | 2 }>();
const { t, locale } = useI18n();

interface Line {
  readonly item: ItemView;
  readonly depth: number;
}

const lines = (items: readonly ItemView[], depth = 0): readonly Line[] =>
  items.flatMap((item) => [{ item, depth }, ...lines(item.items, depth + 1)]);

/** Sections with the pauses between them. */
const parts = computed(() => {
  const { sections, pauses, around } = props.course;
  const before = (id: string | null): { pause: PauseView }[] =>
    pauses.filter((pause) => pause.before === id).map((pause) => ({ pause }));
  const whole: { section: SectionView | null; items: readonly Line[] }[] =
    around === null ? [] : [{ section: null, items: lines([around]) }];
  return [
    ...whole,
    ...sections.flatMap((section) => [...before(section.id), { section, items: lines(section.items) }]),
    ...before(null),
  ];
});
const when = ({ due, held }: ItemView): string => {
  const moment = due ?? held;
  return moment === null ? '' : momentWords(moment, locale.value, props.today);
};
</script>

<template>
  <div class="guide">
    <header>
      <component :is="`h${level}`">{{ course.title }}</component>
      <p class="figures soft">
        {{ course.code
        }}<template v-if="course.firstDay && course.lastDay">
          ·
          {{ formatDays(course.firstDay, course.lastDay, locale, today) }}
        </template>
        · {{ t('learner.byZone', { zone: course.zone }) }}
      </p>
    </header>
    <table>
      <thead>
        <tr>
          <th>{{ t('learner.guide.number') }}</th>
          <th>{{ t('learner.guide.what') }}</th>
          <th>{{ t('learner.guide.when') }}</th>
          <th class="right">{{ t('learner.guide.takes') }}</th>
        </tr>
      </thead>
      <tbody v-for="(part, at) in parts" :key="at">
        <tr v-if="'pause' in part" class="pause">
          <td class="figures">{{ part.pause.number }}</td>
          <td>{{ part.pause.name }}</td>
          <td class="figures">{{ formatDays(part.pause.first, part.pause.last, locale, today) }}</td>
          <td />
        </tr>
        <template v-else>
          <tr v-if="part.section" class="section">
            <td class="figures">{{ part.section.number }}</td>
            <th scope="rowgroup">{{ sectionTitle(part.section, t, locale) }}</th>
            <td class="figures">
              <template v-if="part.section.days">{{
                formatDays(part.section.days.first, part.section.days.last, locale, today)
              }}</template>
              <template v-else-if="part.section.own">{{ t('learner.ownDays', part.section.own) }}</template>
              <template v-if="part.section.state === 'named' && part.section.opens">
                {{ t('learner.opens', { when: formatDay(part.section.opens.day, locale, { today }) }) }}
              </template>
            </td>
            <td class="figures right">
              <template v-if="sectionIndex(part.section).minutes > 0">{{
                formatMinutes(sectionIndex(part.section).minutes, locale)
              }}</template>
            </td>
          </tr>
          <tr v-for="{ item, depth } in part.items" :key="item.id" :class="item.kind">
            <td class="figures soft">{{ item.number }}</td>
            <td :style="{ paddingInlineStart: `${8 + 16 * depth}px` }">
              {{ item.title }} <span class="soft kind">{{ t(`learner.kinds.${item.kind}`) }}</span>
            </td>
            <td class="figures">{{ when(item) }}</td>
            <td class="figures right">
              <template v-if="item.minutes">{{ formatMinutes(item.minutes, locale) }}</template>
            </td>
          </tr>
        </template>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.guide {
  container: guide / inline-size;
}

table {
  width: 100%;
  margin-top: 14px;
  border-collapse: collapse;
}

thead th {
  padding: 4px 8px;
  font-size: 12.5px;
  font-weight: 500;
  text-align: start;
}

td,
tbody th {
  padding: 3px 8px;
  border-bottom: 1px solid var(--rule);
  text-align: start;
  vertical-align: top;
}

.section td,
.section th {
  border-top: 2px solid var(--route);
  background: var(--mist);
  font-weight: 600;
}

.right {
  text-align: end !important;
  white-space: nowrap;
}

.pause td {
  background: repeating-linear-gradient(-45deg, transparent 0 5px, var(--mist) 5px 10px);
}

.heading td,
.folder td {
  font-weight: 600;
}

.kind {
  margin-inline-start: 6px;
  font-size: 12.5px;
  font-weight: 400;
}

tbody {
  break-inside: avoid;
}

@container guide (max-width: 520px) {
  .kind {
    display: none;
  }
}
</style>
