<script setup lang="ts">
/** The way to an item: a link; in previews, where there are no addresses, a press. */
defineProps<{ to: string | null }>();
const emit = defineEmits<{ open: [] }>();
</script>

<template>
  <RouterLink v-if="to !== null" :to="to" dir="auto"><slot /></RouterLink>
  <button v-else type="button" class="link" dir="auto" @click="emit('open')"><slot /></button>
</template>

<style scoped>
.link {
  padding: 0;
  border: 0;
  background: none;
  color: var(--bottle);
  font: inherit;
  text-align: start;
  text-decoration: underline;
  cursor: pointer;
}
</style>
