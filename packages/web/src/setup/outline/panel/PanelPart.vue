<script setup lang="ts">
/** A part of the panel that belongs to one kind of item. */
defineProps<{ title: string; readonly: boolean }>();
</script>

<template>
  <fieldset class="part" :disabled="readonly">
    <legend>{{ title }}</legend>
    <slot />
  </fieldset>
</template>

<style scoped>
.part {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  margin: 0;
  padding: 10px 0 0;
  border: 0;
  border-top: 1px solid var(--rule);
}

legend {
  float: inline-start;
  margin-bottom: 2px;
  font-weight: 600;
}
</style>
