<script setup lang="ts">
/** The course from first to last day, with its work due, and a marker to drag through it. */
import {
  IconChevronDown,
  IconChevronUp,
  IconFlag3Filled,
  IconPlayerTrackNext,
  IconPlayerTrackPrev,
} from '@tabler/icons-vue';
import { addDays, daysBetween } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDay, formatTime } from '../app/dates.ts';
import { isRightToLeft } from '../app/i18n.ts';
import { usePlan } from '../stores/plan.ts';
import { useSession } from '../stores/session.ts';
import IconButton from '../ui/IconButton.vue';
import { useActs } from './acts.ts';
import { dayAtShare } from './preview/marker.ts';
import { timelineBlocks, timelineFlags } from './timeline-blocks.ts';

const open = defineModel<boolean>('open', { required: true });
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
const { marker, changes, span } = useActs();
const track = ref<HTMLElement | null>(null);

const days = computed(() =>
  span.value === null ? null : { ...span.value, count: daysBetween(span.value.first, span.value.last) + 1 },
);
/** Outside the course's own days the line is only there for what changes then. */
const outside = computed(() => {
  const { firstDay, lastDay } = plan.planned ?? {};
  if (days.value === null || !firstDay || !lastDay) return [];
  return [
    { key: 'before', first: days.value.first, last: addDays(firstDay, -1) },
    { key: 'after', first: addDays(lastDay, 1), last: days.value.last },
  ].filter(({ first, last }) => first <= last);
});

const next = computed(() => changes.value.find(({ at: when }) => when > Date.parse(marker.moment.value)));
const previous = computed(() =>
  changes.value.findLast(({ at: when }) => when < Date.parse(marker.moment.value)),
);
const isWithin = (day: string): boolean =>
  days.value !== null && day >= days.value.first && day <= days.value.last;
/** What the moment that the marker stands on does. */
const happening = computed(() => {
  const here = changes.value.find(({ at: when }) => when === Date.parse(marker.moment.value));
  if (here === undefined || !marker.isExact.value) return null;
  const zone = plan.course?.dates.zone ?? 'UTC';
  const parts = [
    ...(here.opening > 0 ? [t('setup.timeline.opening', here.opening)] : []),
    ...(here.closing > 0 ? [t('setup.timeline.closing', here.closing)] : []),
  ];
  const when = `${label(here.day)} ${formatTime(new Date(here.at).toISOString(), locale.value, zone)}`;
  return `${when}: ${parts.length === 0 ? t('setup.timeline.other') : parts.join(', ')}`;
});
const blocks = computed(() => (plan.planned === null ? [] : timelineBlocks(plan.planned, t, locale.value)));
const flags = computed(() => (plan.planned === null ? [] : timelineFlags(plan.planned)));
const at = computed(() => (days.value === null ? 0 : daysBetween(days.value.first, marker.day.value)));
const share = computed(() => (days.value === null ? 0 : (at.value + 0.5) / days.value.count));
const today = computed(() => session.today);

/** Days as parts of the line. */
const place = (first: string, last: string): Record<string, string> => {
  if (days.value === null) return {};
  const from = Math.max(0, daysBetween(days.value.first, first));
  const to = Math.min(days.value.count, daysBetween(days.value.first, last) + 1);
  return {
    insetInlineStart: `${(100 * from) / days.value.count}%`,
    width: `${(100 * Math.max(0, to - from)) / days.value.count}%`,
  };
};

const short = (day: string): string => formatDay(day, locale.value, { today: day, weekday: false });
const label = (day: string): string => formatDay(day, locale.value, { today: today.value });

function typed(event: Event): void {
  const { value } = event.target as HTMLInputElement;
  if (value !== '') marker.move(value);
}

function moveTo(event: PointerEvent): void {
  const box = track.value?.getBoundingClientRect();
  if (box === undefined || days.value === null) return;
  // Time runs the way the language is read.
  const far = isRightToLeft(locale.value) ? box.right - event.clientX : event.clientX - box.left;
  marker.move(dayAtShare(days.value.first, days.value.last, far / box.width));
}

function grab(event: PointerEvent): void {
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
  moveTo(event);
}

function drag(event: PointerEvent): void {
  if (event.buttons === 1) moveTo(event);
}

const STEPS: Readonly<Record<string, number>> = {
  ArrowLeft: -1,
  ArrowDown: -1,
  ArrowRight: 1,
  ArrowUp: 1,
  PageDown: -7,
  PageUp: 7,
};

const mirrored = (key: string): string =>
  key === 'ArrowLeft' ? 'ArrowRight' : key === 'ArrowRight' ? 'ArrowLeft' : key;

function step(event: KeyboardEvent): void {
  if (days.value === null || event.altKey || event.ctrlKey || event.metaKey) return;
  const { first, last } = days.value;
  const forward =
    isRightToLeft(locale.value) && event.key.startsWith('Arrow') ? mirrored(event.key) : event.key;
  const by = STEPS[forward];
  if (event.key === 'Home') marker.move(first);
  else if (event.key === 'End') marker.move(last);
  else if (by !== undefined) marker.move(addDays(marker.day.value, by));
  else return;
  event.preventDefault();
}
</script>

<template>
  <section :class="['timeline', { folded: !open }]" :aria-label="t('setup.timeline.title')">
    <header>
      <button type="button" class="fold" :aria-expanded="open" @click="open = !open">
        <component :is="open ? IconChevronDown : IconChevronUp" :size="16" aria-hidden="true" />
        <span class="title">{{ t('setup.timeline.title') }}</span>
      </button>
      <p v-if="open" class="changes">
        <IconButton
          :icon="IconPlayerTrackPrev"
          :label="t('setup.timeline.previous')"
          :disabled="previous === undefined"
          @click="previous && marker.moveTo(previous.at)"
        />
        <IconButton
          :icon="IconPlayerTrackNext"
          :label="t('setup.timeline.next')"
          :disabled="next === undefined"
          @click="next && marker.moveTo(next.at)"
        />
        <input
          v-if="days"
          class="figures"
          type="date"
          :aria-label="t('setup.timeline.toDay')"
          :min="days.first"
          :max="days.last"
          :value="marker.day.value"
          @change="typed"
        />
      </p>
      <p v-if="open" class="soft said" role="status">{{ happening ?? t('setup.timeline.text') }}</p>
    </header>
    <div v-if="open && days" class="scroll" tabindex="-1">
      <div
        ref="track"
        class="track"
        :style="{ '--weeks': Math.ceil(days.count / 7), '--share': share }"
        @pointerdown="grab"
        @pointermove="drag"
      >
        <ol class="blocks">
          <li
            v-for="block in blocks"
            :key="block.key"
            :class="['block', block.kind]"
            :style="place(block.first, block.last)"
            :title="block.title"
          >
            <strong :class="{ figures: block.kind !== 'pause' }">{{ block.label }}</strong>
            <span v-if="block.kind !== 'pause'" class="figures soft">{{ short(block.first) }}</span>
            <span v-if="block.kind === 'spare'" class="visually-hidden">{{ t('setup.timeline.spare') }}</span>
          </li>
        </ol>
        <span
          v-for="part in outside"
          :key="part.key"
          class="outside"
          :style="place(part.first, part.last)"
          aria-hidden="true"
        />
        <ol class="marks" :aria-label="t('setup.timeline.changes')">
          <template v-for="change in changes" :key="change.at">
            <li
              v-if="isWithin(change.day)"
              :class="change.opening > 0 ? 'opens' : change.closing > 0 ? 'closes' : 'other'"
              :style="place(change.day, change.day)"
            >
              <span class="visually-hidden">{{ label(change.day) }}</span>
            </li>
          </template>
        </ol>
        <ol class="flags" :aria-label="t('setup.timeline.flag')">
          <li v-for="flag in flags" :key="flag.day" :style="place(flag.day, flag.day)" :title="flag.titles">
            <IconFlag3Filled :size="12" aria-hidden="true" />
            <span class="visually-hidden">{{ label(flag.day) }}: {{ flag.titles }}</span>
            <span v-if="flag.count > 1" class="figures count" aria-hidden="true">{{ flag.count }}</span>
          </li>
        </ol>
        <div
          class="marker"
          role="slider"
          tabindex="0"
          :aria-label="t('setup.timeline.marker')"
          aria-valuemin="0"
          :aria-valuemax="days.count - 1"
          :aria-valuenow="at"
          :aria-valuetext="label(marker.day.value)"
          @keydown="step"
        >
          <span class="flag figures">{{ label(marker.day.value) }}</span>
        </div>
      </div>
    </div>
    <p v-else-if="open" class="none soft">{{ t('setup.timeline.none') }}</p>
  </section>
</template>

<style scoped>
.timeline {
  position: relative;
  display: grid;
  grid-template-columns: 212px minmax(0, 1fr);
  height: 92px;
  border-top: 1px solid var(--rule);
  background: var(--card);
}

.timeline.folded {
  height: 34px;
}

header {
  padding: 8px 12px;
  border-inline-end: 1px solid var(--rule);
}

.folded header {
  padding-block: 3px;
}

.fold {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 26px;
  padding: 0 4px;
  border: 0;
  border-radius: 4px;
  background: none;
  cursor: pointer;
}

.title {
  font-family: var(--font-heading);
  font-weight: 650;
}

header p {
  padding-inline-start: 26px;
  font-size: 12.5px;
  line-height: 1.35;
}

.scroll {
  overflow-x: auto;
  overflow-y: hidden;
  padding: 0 14px;
}

.track {
  position: relative;
  min-width: calc(var(--weeks) * 52px);
  height: 100%;
  cursor: ew-resize;
  touch-action: pan-y;
}

.changes {
  display: flex;
  gap: 2px;
  align-items: center;
  padding-inline-start: 0;
}

.changes input {
  width: 118px;
  min-height: 26px;
  padding: 0 4px;
  border: 1px solid var(--field-rule);
  border-radius: 4px;
  background: var(--card);
  color: var(--ink);
  font-size: 12.5px;
}

header .said {
  padding-inline-start: 4px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.outside {
  position: absolute;
  inset-block: 0;
  background: repeating-linear-gradient(90deg, transparent 0 3px, var(--mist) 3px 6px);
}

/* Open is a full stop, closing an empty one: a shape each, and not the colour alone. */
.marks li {
  position: absolute;
  top: 2px;
  display: flex;
  justify-content: center;
}

.marks li::before {
  content: '';
  width: 7px;
  height: 7px;
  border: 2px solid var(--open);
  border-radius: 50%;
  background: var(--open);
}

.marks .closes::before {
  border-color: var(--staff);
  background: var(--card);
}

.marks .other::before {
  border-color: var(--later);
  background: var(--card);
}

.blocks,
.marks,
.flags {
  position: absolute;
  inset: 0;
  padding: 0;
  list-style: none;
  user-select: none;
}

.block {
  position: absolute;
  inset-block: 8px 0;
  display: grid;
  align-content: start;
  padding: 12px 0 0 7px;
  border-inline-start: 1px solid var(--rule);
  line-height: 1.3;
  overflow: hidden;
  white-space: nowrap;
}

.block .soft {
  font-size: 12.5px;
}

.block strong {
  font-size: 15px;
}

.block.pause strong {
  font-size: 12.5px;
  line-height: 1.15;
  white-space: normal;
  overflow-wrap: anywhere;
}

.block.spare,
.block.pause {
  background: repeating-linear-gradient(-45deg, transparent 0 5px, var(--mist) 5px 10px);
}

.flags,
.marks {
  pointer-events: none;
}

.flags li {
  position: absolute;
  bottom: 4px;
  display: flex;
  justify-content: center;
  align-items: end;
  height: 14px;
  min-width: 12px;
}

.count {
  font-size: 10.5px;
  line-height: 1;
}

.key {
  display: flex;
  align-items: center;
  gap: 4px;
}

.marker {
  position: absolute;
  inset-inline-start: calc(var(--share) * 100%);
  top: 0;
  bottom: 0;
  width: 24px;
  margin-inline-start: -12px;
  cursor: ew-resize;
}

.marker::before {
  content: '';
  position: absolute;
  inset-inline-start: 11px;
  top: 0;
  bottom: 0;
  width: 2px;
  background: var(--bottle);
}

.marker:focus-visible {
  outline: 0;
}

.marker:focus-visible .flag {
  outline: 2px solid var(--bottle);
  outline-offset: 2px;
}

.flag {
  position: absolute;
  inset-inline-start: clamp(-1000px, calc(12px - var(--share) * 100px), 1000px);
  top: 0;
  padding: 0 8px;
  border-radius: 0 0 4px 4px;
  background: var(--bottle);
  color: var(--on-bottle);
  font-size: 12.5px;
  white-space: nowrap;
}

.none {
  padding: 20px;
}

@media (max-width: 1080px) {
  .timeline {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }

  .track {
    height: 72px;
  }

  header {
    border-inline-end: 0;
  }
}
</style>
