<script setup lang="ts">
/** What a format does to the calendar, drawn small: runs of days, and the gap of a pause. */
import type { Format } from '@itinerary/core';

defineProps<{ format: Format }>();

/** From the left, in units of the drawing; pale ones are days without a section's beginning. */
const SHAPES: Readonly<
  Record<Format, readonly { x: number; width: number; pale?: boolean; high?: boolean }[]>
> = {
  weeks: [
    { x: 0, width: 20 },
    { x: 23, width: 20 },
    { x: 46, width: 20 },
    { x: 69, width: 20, pale: true },
    { x: 92, width: 20 },
  ],
  units: [
    { x: 0, width: 28 },
    { x: 31, width: 52 },
    { x: 86, width: 26 },
  ],
  meetings: [
    { x: 0, width: 11 },
    { x: 14, width: 14, pale: true },
    { x: 31, width: 11 },
    { x: 45, width: 22, pale: true },
    { x: 70, width: 11 },
    { x: 84, width: 14, pale: true },
    { x: 101, width: 11 },
  ],
  item: [{ x: 0, width: 84, high: true }],
};
</script>

<template>
  <svg class="diagram" viewBox="0 0 112 24" width="112" height="24" aria-hidden="true">
    <rect
      v-for="shape in SHAPES[format]"
      :key="shape.x"
      :x="shape.x"
      :y="shape.high ? 0 : 6"
      :width="shape.width"
      :height="shape.high ? 24 : 12"
      rx="1.5"
      :class="{ pale: shape.pale }"
    />
  </svg>
</template>

<style scoped>
.diagram {
  max-width: 100%;
  margin-bottom: 8px;
}

rect {
  fill: var(--route);
}

.pale {
  fill: var(--rule);
}
</style>
