<script setup lang="ts">
/** The weeks of the course as blocks on a line; spare ones are hollow. */
import { computed } from 'vue';

const props = defineProps<{ weeks: number; spare: number }>();
const MOST = 20;
const blocks = computed(() => {
  const shown = Math.min(Math.max(props.weeks, 1), MOST);
  const filled = props.weeks === 0 ? 0 : Math.round((shown * (props.weeks - props.spare)) / props.weeks);
  return Array.from({ length: shown }, (_, index) => ({ x: index * 11, hollow: index >= filled }));
});
</script>

<template>
  <svg
    class="diagram"
    :viewBox="`0 0 ${blocks.length * 11} 16`"
    :width="blocks.length * 11"
    height="16"
    aria-hidden="true"
  >
    <rect
      v-for="block in blocks"
      :key="block.x"
      :x="block.x + 0.75"
      y="2"
      width="8.5"
      height="12"
      rx="1.5"
      :class="{ hollow: block.hollow }"
    />
  </svg>
</template>

<style scoped>
.diagram {
  flex: none;
  max-width: 220px;
}

rect {
  fill: var(--route);
  stroke: var(--route);
  stroke-width: 1.2;
}

.hollow {
  fill: none;
}
</style>
