<script setup lang="ts">
/** A course's picture in a list of courses. */
import { computed } from 'vue';
import CoursePicture from './CoursePicture.vue';
import { useMissing } from './missing.ts';

const props = defineProps<{
  course: {
    readonly id: string;
    readonly code: string;
    readonly title: string;
    readonly picture: { readonly version: string; readonly alt: string } | null;
    readonly seed: string | null;
  };
  width: 320 | 640;
}>();
const { isMissing, miss } = useMissing();
const source = computed(() => {
  const { id, picture } = props.course;
  return picture && `/api/learn/${id}/face/thumbnail?width=${props.width}&v=${picture.version}`;
});
</script>

<template>
  <!-- The title stands beside it, so that it says nothing of its own. -->
  <img
    v-if="source !== null && !isMissing(source)"
    :src="source"
    alt=""
    loading="lazy"
    @error="miss(source)"
  />
  <CoursePicture v-else :code="course.code" :title="course.title" :seed="course.seed" />
</template>

<style scoped>
img {
  display: block;
  width: 100%;
  height: 100%;
  object-fit: cover;
}
</style>
