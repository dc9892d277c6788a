<script setup lang="ts">
/** Yes or no, with its words beside it. */
import { VCheckbox } from 'vuetify/components/VCheckbox';

defineProps<{ checked: boolean; disabled?: boolean; label?: string }>();
const emit = defineEmits<{ toggle: [checked: boolean] }>();
</script>

<template>
  <VCheckbox
    class="check"
    density="compact"
    color="primary"
    hide-details
    :model-value="checked"
    :disabled="disabled ?? false"
    :aria-label="label"
    @update:model-value="emit('toggle', $event === true)"
  >
    <template v-if="$slots['default']" #label>
      <span class="words"><slot /></span>
    </template>
  </VCheckbox>
</template>

<style scoped>
.check :deep(.v-selection-control) {
  min-height: 28px;
}

.words {
  color: var(--ink);
  line-height: 1.4;
}
</style>
