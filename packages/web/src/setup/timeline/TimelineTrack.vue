<script setup lang="ts">
/** The line itself: weeks, pauses, work due, announcements, what changes by itself, and the marker to drag along it. */
import { IconFlag3Filled, IconSpeakerphone } from '@tabler/icons-vue';
import { addDays, daysBetween } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDay } from '../../words/dates.ts';
import { isRightToLeft } from '../../words/i18n.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import { useActs } from '../frame/acts.ts';
import { blockDays, timelineBlocks, timelineFlags, timelineNews } from './blocks.ts';
import { daysOn, dayUnder, isOn, placeOn, stepOf } from './line.ts';
import type { Line } from './line.ts';
import TimelineFlags from './TimelineFlags.vue';

const props = defineProps<{ line: Line }>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
const { marker, changes } = useActs();
const track = ref<HTMLElement | null>(null);

const count = computed(() => daysOn(props.line));
/** Outside the course's own days the line is only there for what changes then. */
const outside = computed(() => {
  const { firstDay, lastDay } = plan.planned ?? {};
  if (!firstDay || !lastDay) return [];
  return [
    { key: 'before', first: props.line.first, last: addDays(firstDay, -1) },
    { key: 'after', first: addDays(lastDay, 1), last: props.line.last },
  ].filter(({ first, last }) => first <= last);
});
const blocks = computed(() => (plan.planned === null ? [] : timelineBlocks(plan.planned, t, locale.value)));
const days = computed(() =>
  blockDays(blocks.value, (day) => formatDay(day, locale.value, { today: day, weekday: false })),
);
const flags = computed(() => (plan.planned === null ? [] : timelineFlags(plan.planned)));
const news = computed(() => (plan.planned === null ? [] : timelineNews(plan.planned)));
/** Days from the first of the line to the marker. */
const passed = computed(() => daysBetween(props.line.first, marker.day.value));
/** Beyond the line it stands at its end. */
const share = computed(() => Math.min(1, Math.max(0, (passed.value + 0.5) / count.value)));
const label = (day: string): string => formatDay(day, locale.value, { today: session.today });

function moveTo(event: PointerEvent): void {
  const box = track.value?.getBoundingClientRect();
  if (box === undefined) return;
  marker.move(dayUnder(props.line, event.clientX, box, isRightToLeft(locale.value)));
}

function grab(event: PointerEvent): void {
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
  moveTo(event);
}

function drag(event: PointerEvent): void {
  if (event.buttons === 1) moveTo(event);
}

function step(event: KeyboardEvent): void {
  if (event.altKey || event.ctrlKey || event.metaKey) return;
  const by = stepOf(event.key, isRightToLeft(locale.value));
  if (event.key === 'Home') marker.move(props.line.first);
  else if (event.key === 'End') marker.move(props.line.last);
  else if (by !== null) marker.move(addDays(marker.day.value, by));
  else return;
  event.preventDefault();
}
</script>

<template>
  <div class="scroll" tabindex="-1">
    <div
      ref="track"
      class="track"
      :style="{ '--weeks': Math.ceil(count / 7), '--share': share }"
      @pointerdown="grab"
      @pointermove="drag"
    >
      <ol class="blocks">
        <li
          v-for="(block, at) in blocks"
          :key="block.key"
          :class="['block', block.kind]"
          :style="placeOn(line, block.first, block.last)"
          :title="block.title"
        >
          <strong :class="{ figures: block.kind !== 'pause' }">{{ block.label }}</strong>
          <span v-if="block.kind !== 'pause'" class="figures soft">{{ days[at] }}</span>
          <span v-if="block.kind === 'spare'" class="visually-hidden">{{ t('setup.timeline.spare') }}</span>
        </li>
      </ol>
      <span
        v-for="part in outside"
        :key="part.key"
        class="outside"
        :style="placeOn(line, part.first, part.last)"
        aria-hidden="true"
      />
      <ol class="marks" :aria-label="t('setup.timeline.changes')">
        <template v-for="change in changes" :key="change.at">
          <li
            v-if="isOn(line, change.day)"
            :class="change.opening > 0 ? 'opens' : change.closing > 0 ? 'closes' : 'other'"
            :style="placeOn(line, change.day, change.day)"
          >
            <span class="visually-hidden">{{ label(change.day) }}</span>
          </li>
        </template>
      </ol>
      <TimelineFlags
        class="news"
        :line="line"
        :flags="news"
        :label="t('setup.timeline.news')"
        :icon="IconSpeakerphone"
        :words="label"
      />
      <TimelineFlags
        :line="line"
        :flags="flags"
        :label="t('setup.timeline.flag')"
        :icon="IconFlag3Filled"
        :words="label"
      />
      <div
        class="marker"
        role="slider"
        tabindex="0"
        :aria-label="t('setup.timeline.marker')"
        :aria-valuemin="Math.min(0, passed)"
        :aria-valuemax="Math.max(count - 1, passed)"
        :aria-valuenow="passed"
        :aria-valuetext="label(marker.day.value)"
        @keydown="step"
      >
        <span class="flag figures">{{ label(marker.day.value) }}</span>
      </div>
    </div>
  </div>
</template>

<style scoped>
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
.marks {
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

.marks {
  pointer-events: none;
}

.news {
  bottom: 19px;
  color: var(--route);
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

@media (max-width: 1080px) {
  .track {
    height: 92px;
  }
}
</style>
