<script setup lang="ts">
/** The place in a picture that has to be seen: put there by pressing on it, or by arrows. */
import type { CoursePicture } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatNumber } from '../../words/intl.ts';
import { path } from '../../api/client.ts';

const props = defineProps<{ courseId: string; picture: CoursePicture; readonly: boolean }>();
const emit = defineEmits<{ focus: [focus: CoursePicture['focus'], typing: boolean] }>();
const { t, locale } = useI18n();
const box = ref<HTMLElement | null>(null);
const src = computed(() => path`/api/courses/${props.courseId}/files/${props.picture.file.hash}`);
const STEP = 0.02;

/** A hundredth is as fine as anybody can point. */
const rounded = (share: number): number => Math.round(Math.min(1, Math.max(0, share)) * 100) / 100;

function point(event: PointerEvent): void {
  if (props.readonly || box.value === null || event.buttons === 0) return;
  const { left, top, width, height } = box.value.getBoundingClientRect();
  emit(
    'focus',
    { x: rounded((event.clientX - left) / width), y: rounded((event.clientY - top) / height) },
    true,
  );
}
function step(event: KeyboardEvent): void {
  const by = { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, -STEP], ArrowDown: [0, STEP] }[
    event.key
  ];
  if (by === undefined || props.readonly) return;
  event.preventDefault();
  const { x, y } = props.picture.focus;
  emit('focus', { x: rounded(x + (by[0] ?? 0)), y: rounded(y + (by[1] ?? 0)) }, true);
}
const words = computed(() =>
  t('setup.look.focusAt', {
    x: formatNumber(props.picture.focus.x, locale.value, { style: 'percent' }),
    y: formatNumber(props.picture.focus.y, locale.value, { style: 'percent' }),
  }),
);
</script>

<template>
  <div
    ref="box"
    class="picker"
    dir="ltr"
    role="slider"
    tabindex="0"
    :aria-label="t('setup.look.focus')"
    :aria-valuetext="words"
    :aria-valuenow="Math.round(picture.focus.x * 100)"
    aria-valuemin="0"
    aria-valuemax="100"
    :aria-disabled="readonly"
    @pointerdown="point"
    @pointermove="point"
    @keydown="step"
  >
    <img :src="src" alt="" draggable="false" />
    <span class="mark" :style="{ left: `${picture.focus.x * 100}%`, top: `${picture.focus.y * 100}%` }" />
  </div>
</template>

<style scoped>
.picker {
  position: relative;
  width: fit-content;
  max-width: 100%;
  cursor: crosshair;
  touch-action: none;
}

img {
  display: block;
  max-width: 100%;
  max-height: 260px;
  user-select: none;
}

.mark {
  position: absolute;
  width: 26px;
  height: 26px;
  margin: -13px 0 0 -13px;
  border: 3px solid #fff;
  border-radius: 50%;
  outline: 2px solid #15241f;
  pointer-events: none;
}

.mark::after {
  content: '';
  position: absolute;
  inset: 8px;
  border-radius: 50%;
  background: #15241f;
}
</style>
