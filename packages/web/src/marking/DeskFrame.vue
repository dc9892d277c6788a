<script setup lang="ts">
/** A page on which staff look at what came of an item: the way back to it, and what the page is. */
import { IconArrowLeft } from '@tabler/icons-vue';

defineProps<{ courseId: string; itemId: string; item: string; title: string }>();
</script>

<template>
  <main id="main" class="desk-frame">
    <RouterLink class="back" :to="`/courses/${courseId}/items/${itemId}`">
      <IconArrowLeft :size="17" aria-hidden="true" /> {{ item }}
    </RouterLink>
    <div class="head">
      <h1>{{ title }}</h1>
      <slot name="acts" />
    </div>
    <slot />
  </main>
</template>

<style scoped>
.desk-frame {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
  max-width: 1100px;
  margin: 0 auto;
  padding: 20px 16px 48px;
}

.back {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  justify-self: start;
}

.head {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  justify-content: space-between;
}

h1 {
  font-size: 26px;
}
</style>
