<script setup lang="ts">
/** A course's picture in a list of courses. */
import CoursePicture from './CoursePicture.vue';

defineProps<{
  course: {
    readonly id: string;
    readonly code: string;
    readonly title: string;
    readonly picture: { readonly version: string; readonly alt: string } | null;
    readonly seed: string | null;
  };
  width: 320 | 640;
}>();
</script>

<template>
  <!-- The title stands beside it, so that it says nothing of its own. -->
  <img
    v-if="course.picture"
    :src="`/api/learn/${course.id}/face/thumbnail?width=${width}&v=${course.picture.version}`"
    alt=""
    loading="lazy"
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
