<script setup lang="ts">
/** The pacing guide: the whole plan on one page, made to be printed, or taken along as a table. */
import { IconDownload, IconPrinter } from '@tabler/icons-vue';
import type { ReadCourseAnswer } from '@itinerary/contract';
import type { ItemView, PauseView, SectionView } from '@itinerary/core';
import { computed, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { path } from '../api/client.ts';
import { dayIn, formatDay, formatDays, formatMinutes } from '../app/dates.ts';
import { setTitle } from '../app/router.ts';
import { useSession } from '../stores/session.ts';
import LoadState from './LoadState.vue';
import { momentWords } from './moment-words.ts';
import { sectionIndex } from './section-index.ts';
import { sectionTitle } from './titles.ts';
import { useAnswer } from './use-answer.ts';

const { t, locale } = useI18n();
const route = useRoute();
const session = useSession();
const courseId = computed(() => String(route.params['course']));
const { answer, state, reload } = useAnswer<ReadCourseAnswer>(() => path`/api/learn/${courseId.value}`);
const today = computed(() => dayIn(session.now(), answer.value?.course.zone ?? 'UTC'));
const csv = computed(() => path`/api/learn/${courseId.value}/guide.csv`);

interface Line {
  readonly item: ItemView;
  readonly depth: number;
}

const lines = (items: readonly ItemView[], depth = 0): readonly Line[] =>
  items.flatMap((item) => [{ item, depth }, ...lines(item.items, depth + 1)]);

/** Sections with the pauses between them. */
const parts = computed(() => {
  const { sections, pauses, around } = answer.value?.course ?? { sections: [], pauses: [], around: null };
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
  return moment === null ? '' : momentWords(moment, locale.value, today.value);
};

watch(answer, (got) => {
  if (got !== null) setTitle(`${t('learner.guide.title')} · ${got.course.title}`);
});
const print = (): void => window.print();
</script>

<template>
  <main v-if="answer !== null && state === 'there'" id="main" class="page">
    <nav class="no-print tools">
      <span class="spacer" />
      <a class="button" :href="csv" download>
        <IconDownload :size="17" aria-hidden="true" /> {{ t('learner.guide.csv') }}
      </a>
      <button class="button main" type="button" @click="print">
        <IconPrinter :size="17" aria-hidden="true" /> {{ t('learner.guide.print') }}
      </button>
    </nav>
    <header>
      <h1>{{ answer.course.title }}</h1>
      <p class="figures soft">
        {{ answer.course.code
        }}<template v-if="answer.course.firstDay && answer.course.lastDay">
          ·
          {{ formatDays(answer.course.firstDay, answer.course.lastDay, locale, today) }}
        </template>
        · {{ t('learner.byZone', { zone: answer.course.zone }) }}
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
            <td :style="{ paddingLeft: `${8 + 16 * depth}px` }">
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
  </main>
  <LoadState v-else :state="state" @again="reload" />
</template>

<style scoped>
.page {
  min-height: calc(100vh - var(--bar-height));
  padding: 20px max(16px, calc(50% - 420px)) 48px;
  background: var(--card);
}

.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-bottom: 16px;
}

.spacer {
  flex: 1;
}

.back {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 32px;
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

@media print {
  .no-print {
    display: none;
  }

  .page {
    padding: 0;
  }
}

@media (max-width: 520px) {
  .kind {
    display: none;
  }
}
</style>
