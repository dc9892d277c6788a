<script setup lang="ts">
/** One thing of a calendar, in a line: what it is, when, of which course; it leads there. */
import { IconCheck, IconClock, IconDoorEnter, IconFlag3Filled, IconPlayerPause } from '@tabler/icons-vue';
import type { AgendaAnswer, AgendaThing } from '@itinerary/contract';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useSession } from '../stores/session.ts';
import { formatDays, formatTime } from '../words/dates.ts';
import { ownMoment } from '../words/moment-words.ts';

/** `isShort`: in a cell of the month, where the day is known and there is little room. */
const props = defineProps<{
  thing: AgendaThing;
  course: AgendaAnswer['courses'][number] | undefined;
  isShort?: boolean;
}>();
const { t, locale } = useI18n();
const session = useSession();
const SIGNS = {
  due: IconFlag3Filled,
  held: IconClock,
  opens: IconDoorEnter,
  pause: IconPlayerPause,
} as const;

const to = computed(() => {
  const { what, kind, id, course } = props.thing;
  if (what === 'pause') return `/courses/${course}/outline`;
  return `/courses/${course}/${kind === null ? 'sections' : 'items'}/${id}`;
});
const title = computed(() => props.thing.title ?? t('agenda.section', { number: props.thing.number ?? '' }));
const time = computed(() => {
  const { time: at, ends } = props.thing;
  if (at === null || ends === null || props.isShort === true) return at;
  return `${at}–${formatTime(ends, locale.value, props.course?.zone)}`;
});
const own = computed(() => ownMoment(props.thing, locale.value, session.today));
const days = computed(() => {
  const { day, lastDay } = props.thing;
  return day === lastDay ? null : formatDays(day, lastDay, locale.value, session.today);
});
</script>

<template>
  <RouterLink
    :to="to"
    :class="['thing', thing.what, { short: isShort, done: thing.isDone }]"
    :style="course?.seed ? { '--course': course.seed } : {}"
  >
    <component :is="SIGNS[thing.what]" class="sign" :size="isShort ? 13 : 17" aria-hidden="true" />
    <span class="words">
      <span class="visually-hidden">{{ t(`agenda.what.${thing.what}`) }}</span>
      <span v-if="time" class="figures time">{{ time }}</span>
      <span class="title" dir="auto">{{ title }}</span>
      <IconCheck v-if="thing.isDone" :size="14" role="img" :aria-label="t('agenda.done')" />
    </span>
    <span v-if="!isShort" class="soft more">
      <span>{{ t(`agenda.what.${thing.what}`) }}</span>
      <span class="figures">{{ course?.code }}</span>
      <span v-if="days" class="figures">{{ days }}</span>
      <span v-if="thing.place" dir="auto">{{ thing.place }}</span>
      <span v-if="own" class="figures">{{ t('agenda.own', { when: own }) }}</span>
    </span>
  </RouterLink>
</template>

<style scoped>
.thing {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 2px 8px;
  align-items: start;
  padding: 7px 10px;
  border-inline-start: 4px solid var(--course, var(--bottle));
  border-radius: 0 4px 4px 0;
  background: var(--card);
  color: var(--ink);
  text-decoration: none;
}

.thing:hover .title,
.thing:focus-visible .title {
  text-decoration: underline;
}

.sign {
  margin-top: 3px;
}

.words {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  align-items: center;
  overflow-wrap: anywhere;
}

.title {
  font-weight: 600;
}

.more {
  display: flex;
  flex-wrap: wrap;
  grid-column: 2;
  gap: 0 12px;
  font-size: 14px;
}

.short {
  gap: 0 5px;
  min-height: 24px;
  padding: 3px 5px;
  border-inline-start-width: 3px;
  background: var(--mist);
  font-size: 13px;
  line-height: 1.3;
}

.short .title {
  font-weight: 400;
}

.short .words {
  gap: 0 5px;
}

.done .title {
  color: var(--ink-soft);
}
</style>
