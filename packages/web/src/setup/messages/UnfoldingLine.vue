<script setup lang="ts">
import BareButton from '../../ui/frame/BareButton.vue';
/** One of a list, as a line that opens what can be changed about it below itself. */
defineProps<{
  /** `null`: there is nothing to open. */
  isOpen: boolean | null;
}>();
const emit = defineEmits<{ turn: [] }>();
</script>

<template>
  <li>
    <div class="line">
      <span v-if="isOpen === null" class="title"><slot name="title" /></span>
      <BareButton v-else class="title" :aria-expanded="isOpen" @click="emit('turn')">
        <slot name="title" />
      </BareButton>
      <slot />
    </div>
    <div v-if="isOpen" class="below"><slot name="below" /></div>
  </li>
</template>

<style scoped>
li {
  border-bottom: 1px solid var(--rule);
  background: var(--card);
}

/* The list says into which columns. */
.line {
  display: grid;
  grid-template-columns: var(--columns, minmax(0, 1fr) auto);
  gap: 4px 10px;
  align-items: center;
  min-height: 44px;
  padding: 3px 8px 3px 12px;
}

.title {
  min-height: 30px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  font-weight: 600;
  text-align: start;
  overflow-wrap: anywhere;
}

span.title {
  align-content: center;
  color: var(--ink-soft);
}

button.title {
  cursor: pointer;
}

.below {
  padding: 6px 12px 14px;
}
</style>
