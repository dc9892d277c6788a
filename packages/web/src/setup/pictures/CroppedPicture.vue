<script setup lang="ts">
/** A picture of the plan, cropped as the server will crop it: seen while its focal point is still being moved. */
import { cropOf, FRAMES } from '@itinerary/core';
import type { CoursePicture, Frame } from '@itinerary/core';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { path } from '../../api/client.ts';

const props = defineProps<{
  courseId: string;
  picture: CoursePicture;
  /** Left out: the shape of whatever it fills. */
  frame?: Frame;
  fills?: boolean;
}>();
const box = ref<HTMLElement | null>(null);
const shape = ref(FRAMES.banner as number);
let watcher: ResizeObserver | null = null;
onMounted(() => {
  if (!props.fills || box.value === null || typeof ResizeObserver === 'undefined') return;
  watcher = new ResizeObserver(([entry]) => {
    const { width = 0, height = 0 } = entry?.contentRect ?? {};
    if (height > 0) shape.value = width / height;
  });
  watcher.observe(box.value);
});
onBeforeUnmount(() => watcher?.disconnect());

const src = computed(() => path`/api/courses/${props.courseId}/files/${props.picture.file.hash}`);
const wanted = computed(() => (props.frame === undefined ? shape.value : FRAMES[props.frame]));
const style = computed(() => {
  const { width, height } = props.picture;
  const crop = cropOf(props.picture, wanted.value);
  return {
    width: `${(100 * width) / crop.width}%`,
    height: `${(100 * height) / crop.height}%`,
    left: `${(-100 * crop.left) / crop.width}%`,
    top: `${(-100 * crop.top) / crop.height}%`,
  };
});
</script>

<template>
  <span ref="box" :class="['cropped', { fills }]" :style="fills ? {} : { aspectRatio: wanted }">
    <img :src="src" :alt="picture.file.alt ?? ''" :style="style" draggable="false" />
  </span>
</template>

<style scoped>
.cropped {
  position: relative;
  display: block;
  width: 100%;
  overflow: hidden;
  background: var(--bottle-pale);
}

.fills {
  height: 100%;
}

img {
  position: absolute;
  display: block;
  max-width: none;
}
</style>
