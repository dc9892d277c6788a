<script setup lang="ts">
/** Items in their order, folders with what they hold. */
import type { ItemView } from '@itinerary/core';
import ItemLine from './ItemLine.vue';

defineProps<{ items: readonly ItemView[]; today: string; hrefFor?: (item: ItemView) => string }>();
const emit = defineEmits<{ open: [item: ItemView] }>();
</script>

<template>
  <ul class="items">
    <ItemLine
      v-for="item in items"
      :key="item.id"
      :item="item"
      :today="today"
      v-bind="hrefFor === undefined ? {} : { hrefFor }"
      @open="emit('open', $event)"
    />
  </ul>
</template>

<style scoped>
.items {
  display: grid;
  gap: 2px;
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}
</style>
