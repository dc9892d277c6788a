<script setup lang="ts">
/** Signs on days of the line, a row of them: what each stands for is said, and shown under the pointer. */
import type { Icon } from '@tabler/icons-vue';
import { isOn, placeOn } from './line.ts';
import type { Line } from './line.ts';
import type { Flag } from './blocks.ts';

defineProps<{
  line: Line;
  flags: readonly Flag[];
  label: string;
  icon: Icon;
  /** A day in words. */
  words: (day: string) => string;
}>();
</script>

<template>
  <ol class="flags" :aria-label="label">
    <template v-for="flag in flags" :key="flag.day">
      <li v-if="isOn(line, flag.day)" :style="placeOn(line, flag.day, flag.day)" :title="flag.titles">
        <component :is="icon" :size="12" aria-hidden="true" />
        <span class="visually-hidden">{{ words(flag.day) }}: {{ flag.titles }}</span>
        <span v-if="flag.count > 1" class="figures count" aria-hidden="true">{{ flag.count }}</span>
      </li>
    </template>
  </ol>
</template>

<style scoped>
.flags {
  position: absolute;
  inset: auto 0 4px;
  height: 14px;
  padding: 0;
  list-style: none;
  user-select: none;
  pointer-events: none;
}

li {
  position: absolute;
  bottom: 0;
  display: flex;
  justify-content: center;
  align-items: end;
  height: 14px;
  min-width: 12px;
  /* Only the signs have something to say; what is between them is the line's. */
  pointer-events: auto;
}

.count {
  font-size: 10.5px;
  line-height: 1;
}
</style>
