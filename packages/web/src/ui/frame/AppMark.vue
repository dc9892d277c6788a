<script setup lang="ts">
import { RouterLink } from 'vue-router';

defineProps<{ to?: string }>();
</script>

<template>
  <component :is="to ? RouterLink : 'span'" v-bind="to ? { to } : {}" class="mark">
    <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true">
      <path d="M6.5 18.5h8a4 4 0 0 0 0-8h-4a2.5 2.5 0 0 1 0-5h6" />
      <circle cx="4.5" cy="18.5" r="2" />
      <circle cx="19" cy="5.5" r="2" />
    </svg>
    <span>Itinerary</span>
  </component>
</template>

<style scoped>
.mark {
  display: inline-flex;
  align-items: center;
  gap: 9px;
  color: inherit;
  font-family: var(--font-heading);
  font-size: 20.5px;
  font-weight: 700;
  text-decoration: none;
}

svg {
  fill: none;
  stroke: currentColor;
  stroke-width: 2;
  stroke-linecap: round;
}
</style>
