<script setup lang="ts">
/** One section on the line of a learner's course, with its items folded or not. */
import { IconCheck, IconChevronDown, IconChevronRight, IconClock } from '@tabler/icons-vue';
import type { ItemView, SectionView } from '@itinerary/core';
import { computed, onUpdated, useId } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { formatDays, formatMinutes } from '../../words/dates.ts';
import { countDrawing } from '../../ui/course/drawings.ts';
import ItemLines from './ItemLines.vue';
import { momentWords } from '../../words/moment-words.ts';
import { openingSentence } from '../words/opening-words.ts';
import { sectionIndex } from './section-index.ts';
import { sectionTitle } from '../words/titles.ts';
import { useUnfolded } from './unfolded.ts';

const props = defineProps<{
  section: SectionView;
  /** Any day of this year: which of them is no matter of how days are written. */
  today: string;
  isPast: boolean;
  /** Of the section's heading. */
  level: 2 | 3;
  /** Unfolded until somebody folds it. */
  standsOpen: boolean;
  /** Section by section: the section opens as a page of its own, and says here what it holds. */
  asIndex?: boolean;
  hrefFor?: (item: ItemView) => string;
  sectionHref?: string;
}>();
const emit = defineEmits<{ open: [item: ItemView]; section: [] }>();
const { t, locale } = useI18n();
onUpdated(() => countDrawing('learner-section'));
const listId = useId();

const chosen = useUnfolded(`${useRoute().path} ${props.section.id}`);
const isUnfolded = computed(() => chosen.value ?? props.standsOpen);
const title = computed(() => sectionTitle(props.section, t, locale.value));
const days = computed(() => {
  const { section, today } = props;
  if (section.own !== null) return t('learner.ownDays', section.own);
  if (section.days === null) return null;
  return formatDays(section.days.first, section.days.last, locale.value, today);
});
const index = computed(() => sectionIndex(props.section));
const holds = computed(() => {
  const items = t('learner.items', index.value.items);
  return index.value.minutes === 0 ? items : `${items} · ${formatMinutes(index.value.minutes, locale.value)}`;
});
/** What it holds, how long it takes, what is due: one sentence. */
const sentence = computed(() => {
  const { items, minutes, due } = index.value;
  const parts = [t('learner.index.holds', items)];
  if (minutes > 0) parts.push(t('learner.index.takes', { length: formatMinutes(minutes, locale.value) }));
  const [first] = due;
  if (first?.due) {
    const when = momentWords(first.due, locale.value, props.today);
    parts.push(t('learner.index.due', { title: first.title, when, count: due.length }, due.length));
  }
  return `${parts.join('; ')}.`;
});
/** Only of a week one says "this week". */
const WEEK_MS = 7 * 86_400_000;
const isWeek = computed(() => {
  const { days: of, meeting } = props.section;
  return of !== null && meeting === null && Date.parse(of.last) - Date.parse(of.first) < WEEK_MS;
});
/** Where the course shows what is done, the line fills by that; else by what is past. */
const filled = computed(() => {
  const { done } = props.section;
  if (done === null) return props.isPast ? 'stop-full' : '';
  return done.isDone ? 'stop-full' : done.done > 0 ? 'stop-part' : '';
});
const share = computed(() => {
  const { done } = props.section;
  if (done === null) return '0%';
  return done.isDone ? '100%' : `${(100 * done.done) / done.counted}%`;
});
const isNamed = computed(() => props.section.state === 'named');

function openSection(event: MouseEvent): void {
  if (event.ctrlKey || event.metaKey || event.shiftKey) return;
  event.preventDefault();
  emit('section');
}
</script>

<template>
  <li
    :class="[
      'section',
      { current: section.current },
      filled,
      section.accent ? `accent-${section.accent}` : '',
    ]"
    :aria-current="section.current ? 'step' : undefined"
    :style="{ '--filled': share }"
    :data-node="section.id"
  >
    <span class="stop" aria-hidden="true" />
    <div class="body">
      <component :is="`h${level}`" class="section-title">
        <span v-if="section.number" class="number figures">{{ section.number }}</span>
        <component
          :is="sectionHref === undefined ? 'button' : 'a'"
          v-if="asIndex && !isNamed"
          class="to-section"
          v-bind="sectionHref === undefined ? { type: 'button' } : { href: sectionHref }"
          @click="openSection"
        >
          {{ title }}
        </component>
        <template v-else>{{ title }}</template>
      </component>
      <p v-if="days || section.meeting" class="figures days">
        {{ [days, section.meeting?.time, section.meeting?.place].filter(Boolean).join(' · ') }}
        <span v-if="section.current" class="now">{{ t(isWeek ? 'learner.thisWeek' : 'learner.nowOn') }}</span>
      </p>
      <p v-if="isNamed && section.waits" class="opens">
        <IconClock :size="15" aria-hidden="true" />
        {{ openingSentence(section.waits, { t, locale, today }) }}
      </p>
      <p v-else-if="isNamed && section.opens" class="opens">
        <IconClock :size="15" aria-hidden="true" />
        {{ t('learner.opens', { when: momentWords(section.opens, locale, today) }) }}
      </p>
      <p v-if="section.done" class="figures far">
        <IconCheck v-if="section.done.isDone" :size="16" role="img" :aria-label="t('learner.done.is')" />
        {{ t('learner.progress.done', { done: section.done.done, counted: section.done.counted }) }}
      </p>
      <p v-if="section.summary && !isNamed" class="soft summary">{{ section.summary }}</p>
      <p v-if="asIndex && !isNamed" class="soft">{{ sentence }}</p>
      <template v-else-if="!isNamed">
        <button
          v-if="section.items.length > 0"
          type="button"
          class="fold soft"
          :aria-expanded="isUnfolded"
          :aria-controls="listId"
          @click="chosen = !isUnfolded"
        >
          <component :is="isUnfolded ? IconChevronDown : IconChevronRight" :size="16" aria-hidden="true" />
          {{ holds }}
          <span class="visually-hidden">{{ t('learner.inSection', { title: title }) }}</span>
        </button>
        <div v-if="section.items.length > 0" v-show="isUnfolded" :id="listId" class="list">
          <ItemLines
            :items="section.items"
            :today="today"
            v-bind="hrefFor === undefined ? {} : { hrefFor }"
            @open="emit('open', $event)"
          />
        </div>
        <p v-else class="soft nothing">{{ t('learner.nothingYet') }}</p>
      </template>
    </div>
  </li>
</template>

<style scoped>
.section {
  position: relative;
  padding: 0 0 16px 32px;
}

.section::before {
  content: '';
  position: absolute;
  inset-inline-start: 7.5px;
  top: 12px;
  bottom: -8px;
  width: 3px;
  background: linear-gradient(var(--route) var(--filled), var(--route-pale) var(--filled));
}

.section:last-child::before {
  display: none;
}

.stop {
  position: absolute;
  inset-inline-start: 1px;
  top: 4px;
  width: 16px;
  height: 16px;
  border: 3px solid var(--accent, var(--route));
  border-radius: 50%;
  background: var(--card);
}

.stop-part .stop {
  background: linear-gradient(0deg, var(--route) var(--filled), var(--card) var(--filled));
}

.stop-full .stop {
  background: var(--route);
}

.current {
  margin-inline-start: -8px;
  padding-inline-start: 40px;
}

.current::before {
  inset-inline-start: 15.5px;
}

.current .stop {
  inset-inline-start: 7px;
  top: 11px;
  width: 20px;
  height: 20px;
  border: 5px solid var(--route);
  box-shadow:
    0 0 0 2px var(--card),
    0 0 0 4px var(--route);
}

.current .body {
  margin: 0 -8px 0 -4px;
  padding: 8px 12px 14px;
  border-radius: 6px;
  background: var(--bottle-pale);
}

.section-title {
  font-size: 16px;
}

.section-title .number {
  margin-inline-end: 4px;
}

.days {
  color: var(--ink-soft);
  font-size: 13.5px;
}

.far {
  display: flex;
  gap: 4px;
  align-items: center;
  color: var(--ink-soft);
  font-size: 13.5px;
}

.far svg {
  color: var(--open);
}

.now {
  margin-inline-start: 8px;
  color: var(--bottle);
  font-family: var(--font-text);
  font-weight: 650;
}

.fold {
  display: inline-flex;
  align-items: center;
  gap: 4px;
  min-height: 28px;
  margin-inline-start: -4px;
  padding: 0 8px 0 2px;
  border: 0;
  border-radius: 4px;
  background: none;
  font-size: 13.5px;
  cursor: pointer;
}

.fold:hover {
  color: var(--ink);
  text-decoration: underline;
}

.list {
  margin-inline-start: -10px;
}

.current .list {
  margin-inline-start: 0;
}

.current :deep(.line > .item:not(.named)) {
  border-color: var(--rule);
  background: var(--card);
}

.opens {
  display: flex;
  gap: 4px;
  align-items: center;
  color: var(--later);
  font-size: 13.5px;
}

.summary {
  max-width: 66ch;
}

.to-section {
  padding: 0;
  border: 0;
  background: none;
  color: var(--bottle);
  font: inherit;
  text-align: start;
  text-decoration: underline;
  cursor: pointer;
}

.nothing {
  margin-top: 2px;
  font-size: 13.5px;
}

@container (min-width: 860px) {
  .section-title {
    font-size: 17px;
  }
}
</style>
