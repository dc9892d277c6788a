<script setup lang="ts">
/** Where one learner stands: the line that fills, what is next, what is behind, and every item with why not yet. */
import { IconCheck, IconCircleDashed } from '@tabler/icons-vue';
import type { ProgressAnswer } from '@itinerary/contract';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import PushButton from '../frame/PushButton.vue';
import FinishedPart from './FinishedPart.vue';
import ItemWay from './ItemWay.vue';
import { dayIn, formatDay, formatDays, formatMinutes } from '../../words/dates.ts';
import { conditionWords } from '../../words/done-words.ts';

const props = defineProps<{
  /** Null: in previews, where nothing has an address. */
  courseId: string | null;
  progress: ProgressAnswer;
  today: string;
}>();
const emit = defineEmits<{ open: [item: string] }>();
const { t, locale } = useI18n();
type Section = ProgressAnswer['sections'][number];
type Item = ProgressAnswer['items'][number];

/** So many of what is behind at once: a long list helps nobody. */
const FIRST = 3;
const isAll = ref(false);
const to = (id: string): string | null =>
  props.courseId === null ? null : `/courses/${props.courseId}/items/${id}`;
const share = computed(() => props.progress.share?.items ?? null);
const minutes = computed(() => props.progress.share?.minutes ?? null);
const day = (at: string): string =>
  formatDay(dayIn(at, props.progress.zone), locale.value, { today: props.today });
const next = computed(() => props.progress.items.find(({ id }) => id === props.progress.next) ?? null);
const behind = computed(() =>
  (props.progress.behind ?? []).flatMap((id) => props.progress.items.find((item) => item.id === id) ?? []),
);
const within = (section: Section): readonly Item[] =>
  props.progress.items.filter((item) => item.section === section.id);
const called = (section: Section): string =>
  section.title ??
  (section.days === null
    ? t('learner.untitled')
    : formatDays(section.days.first, section.days.last, locale.value, props.today));
/** One sentence: what it waits for first. */
function why(item: Item): string {
  const open = item.conditions.find(({ since }) => since === null) ?? item.conditions[0];
  return open === undefined ? '' : conditionWords(open, t, locale.value);
}
const width = (one: { done: number; counted: number } | null): string =>
  one === null || one.counted === 0 ? '0%' : `${(100 * one.done) / one.counted}%`;
</script>

<template>
  <div class="how-far">
    <FinishedPart :finished="progress" :zone="progress.zone" :today="today" :is-link="courseId !== null" />
    <template v-if="share !== null">
      <p class="figures share">
        {{ t('learner.progress.done', { done: share.done, counted: share.counted }) }}
        <span v-if="minutes !== null" class="soft">{{
          t('progress.minutes', {
            done: formatMinutes(Math.round(minutes.done), locale),
            all: formatMinutes(Math.round(minutes.counted), locale),
          })
        }}</span>
      </p>
      <div class="line" aria-hidden="true"><span :style="{ width: width(share) }" /></div>
    </template>
    <p v-else-if="progress.share !== null" class="soft">{{ t('progress.nothing') }}</p>
    <p v-if="next !== null">
      {{ t('progress.next') }}
      <ItemWay :to="to(next.id)" @open="emit('open', next.id)">{{ next.title }}</ItemWay>
    </p>
    <div v-if="behind.length > 0" class="behind">
      <p>
        {{ t('progress.behind', { count: behind.length }, behind.length) }}
        {{ t('progress.catchUp', { time: formatMinutes(Math.max(1, progress.behindMinutes), locale) }) }}
      </p>
      <ul>
        <li v-for="item in behind.slice(0, isAll ? undefined : FIRST)" :key="item.id">
          <ItemWay :to="to(item.id)" @open="emit('open', item.id)">{{ item.title }}</ItemWay>
          <span v-if="item.behindSince !== null" class="soft figures">{{
            t('progress.since', { day: day(item.behindSince) })
          }}</span>
        </li>
      </ul>
      <PushButton v-if="behind.length > FIRST && !isAll" small @click="isAll = true">
        {{ t('progress.more', { count: behind.length - FIRST }, behind.length - FIRST) }}
      </PushButton>
    </div>
    <p v-else-if="progress.ahead > 0 && progress.behind !== null" class="soft">
      {{ t('progress.ahead', { count: progress.ahead }, progress.ahead) }}
    </p>
    <section v-for="section in progress.sections" :key="section.id" :aria-labelledby="`far-${section.id}`">
      <h2 :id="`far-${section.id}`">
        <span v-if="section.number" class="figures soft">{{ section.number }}</span>
        <span dir="auto">{{ called(section) }}</span>
        <span v-if="section.share?.items" class="figures soft">{{
          t('learner.progress.done', { ...section.share.items })
        }}</span>
        <IconCheck
          v-if="section.since !== null"
          :size="17"
          class="met"
          role="img"
          :aria-label="t('learner.done.is')"
        />
      </h2>
      <ul>
        <li v-for="item in within(section)" :key="item.id">
          <IconCheck
            v-if="item.since !== null"
            :size="16"
            class="met"
            role="img"
            :aria-label="t('learner.done.is')"
          />
          <IconCircleDashed v-else :size="16" class="soft" aria-hidden="true" />
          <ItemWay :to="to(item.id)" @open="emit('open', item.id)">{{ item.title }}</ItemWay>
          <span v-if="item.since !== null" class="soft figures">{{
            t(item.by === 'staff' ? 'progress.byStaff' : 'progress.doneOn', { day: day(item.since) })
          }}</span>
          <span v-else class="soft">{{ why(item) }}</span>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.how-far {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}

.share {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  font-family: var(--font-heading);
  font-size: 19px;
}

.share .soft {
  font-size: 14.5px;
}

.line {
  height: 11px;
  border: 1px solid var(--route);
  border-radius: 6px;
  overflow: hidden;
}

.line span {
  display: block;
  height: 100%;
  background: var(--route);
}

.behind button,
.behind .button {
  margin-top: 8px;
}

.behind {
  padding: 10px 14px;
  border-inline-start: 3px solid var(--advice);
  background: var(--card);
}

h2 {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: center;
  margin-top: 10px;
  padding-bottom: 4px;
  border-bottom: 3px solid var(--route);
  font-size: 16px;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 9px;
  align-items: center;
  min-height: 36px;
  border-bottom: 1px solid var(--rule);
  overflow-wrap: anywhere;
}

.met {
  color: var(--open);
}
</style>
