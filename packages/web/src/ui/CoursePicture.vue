<script setup lang="ts">
import { computed } from 'vue';
import { pictureFor, ridge } from './picture.ts';

const props = defineProps<{ code: string }>();
const picture = computed(() => pictureFor(props.code));
</script>

<template>
  <svg class="picture" viewBox="0 0 120 80" preserveAspectRatio="xMidYMax slice" aria-hidden="true">
    <rect width="120" height="80" :fill="picture.sky" />
    <circle v-if="picture.sun" cx="92" cy="20" r="7" :fill="picture.sun" />
    <path :d="ridge(picture.farLine)" :fill="picture.far" />
    <rect y="58" width="120" height="22" :fill="picture.water" />
    <path :d="ridge(picture.nearLine)" :fill="picture.near" />
  </svg>
</template>

<style scoped>
.picture {
  display: block;
  width: 100%;
  height: 100%;
}
</style>
