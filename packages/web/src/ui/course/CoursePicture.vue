<script setup lang="ts">
import { computed } from 'vue';
import { pictureFor, ridge } from './picture.ts';

const props = defineProps<{
  code: string;
  title: string;
  /** The colour of the course, where it has one. */
  seed?: string | null;
}>();
const picture = computed(() => pictureFor(props.title, props.code, props.seed ?? null));
</script>

<template>
  <!-- The shore stretches with its frame; the sun stays round. -->
  <svg class="picture" aria-hidden="true">
    <rect width="100%" height="100%" :fill="picture.sky" />
    <svg v-if="picture.sun" viewBox="0 0 120 80" preserveAspectRatio="xMaxYMin meet">
      <circle cx="92" cy="20" r="7" :fill="picture.sun" />
    </svg>
    <svg viewBox="0 0 120 80" preserveAspectRatio="none">
      <path :d="ridge(picture.farLine)" :fill="picture.far" />
      <rect y="60" width="120" height="20" :fill="picture.water" />
      <path :d="ridge(picture.nearLine)" :fill="picture.near" />
    </svg>
  </svg>
</template>

<style scoped>
.picture {
  display: block;
  width: 100%;
  height: 100%;
}
</style>
