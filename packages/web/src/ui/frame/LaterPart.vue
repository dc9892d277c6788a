<script setup lang="ts">
/** A part of a long page that is made once one comes near it, or there is nothing else to do (later.ts). */
import { onBeforeUnmount, ref } from 'vue';
import { Intersect as vIntersect } from 'vuetify/directives/intersect';
import { makeLater } from './later.ts';

const isMade = ref(false);
const takeBack = makeLater(() => (isMade.value = true));
onBeforeUnmount(takeBack);

function near(isNear: boolean): void {
  if (!isNear) return;
  takeBack();
  isMade.value = true;
}
</script>

<template>
  <slot v-if="isMade" />
  <div v-else v-intersect="near" class="later" data-later />
</template>

<style scoped>
.later {
  min-height: 300px;
}
</style>
