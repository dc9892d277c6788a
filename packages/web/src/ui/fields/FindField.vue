<script setup lang="ts">
/** A field that finds as one types. Its words are its label and stand in it while it is empty. */
import { IconSearch } from '@tabler/icons-vue';

defineProps<{ label: string; placeholder?: string }>();
const text = defineModel<string>({ required: true });
</script>

<template>
  <label class="find">
    <IconSearch :size="17" aria-hidden="true" />
    <span class="visually-hidden">{{ label }}</span>
    <input v-model="text" type="search" :placeholder="placeholder ?? label" />
  </label>
</template>

<style scoped>
.find {
  display: flex;
  align-items: center;
  gap: 6px;
  min-width: 236px;
  padding: 0 10px;
  border: 1px solid var(--field-rule);
  border-radius: 6px;
  background: var(--card);
}

.find:focus-within {
  outline: 2px solid var(--bottle);
  outline-offset: 1px;
}

input {
  width: 100%;
  min-height: 34px;
  border: 0;
  outline: 0;
  background: none;
}

input::placeholder {
  color: var(--ink-soft);
  opacity: 1;
}
</style>
