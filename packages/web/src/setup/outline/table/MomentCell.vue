<script setup lang="ts">
/** A moment in a line of the outline: pressed, it is set. */
import { IconClock, IconFlag3Filled } from '@tabler/icons-vue';

defineProps<{
  /** Empty: there is none. */
  words: string;
  field: 'due' | 'held' | 'opens';
  /** The column, for the arrow keys. */
  cell: string;
  label: string;
}>();
const emit = defineEmits<{ press: [] }>();
</script>

<template>
  <button type="button" class="moment" :data-cell="cell" :aria-label="label" @click="emit('press')">
    <IconFlag3Filled v-if="words !== '' && field === 'due'" :size="12" aria-hidden="true" />
    <IconClock v-else-if="words !== '' && field === 'held'" :size="12" aria-hidden="true" />
    {{ words || '–' }}
  </button>
</template>

<style scoped>
.moment {
  display: inline-flex;
  align-items: center;
  gap: 4px;
  min-width: 28px;
  max-width: calc(100% + 12px);
  min-height: 28px;
  margin-inline-start: -7px;
  padding: 0 6px;
  border: 1px solid transparent;
  border-radius: 4px;
  background: none;
  color: inherit;
  font: inherit;
  text-align: start;
  white-space: nowrap;
  cursor: pointer;
}

.moment:hover {
  border-color: var(--field-rule);
}
</style>
