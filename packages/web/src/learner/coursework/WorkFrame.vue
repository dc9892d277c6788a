<script setup lang="ts">
/** What is done in an item, below what is read of it. */
import { useId } from 'vue';

defineProps<{ title: string }>();
const id = useId();
</script>

<template>
  <section class="work-frame" :aria-labelledby="id">
    <h2 :id="id">{{ title }}</h2>
    <slot />
  </section>
</template>

<style scoped>
.work-frame {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  max-width: 720px;
  margin-top: 28px;
  padding: 16px;
  border-top: 3px solid var(--route);
  background: var(--card);
}

h2 {
  font-size: 19px;
}
</style>
