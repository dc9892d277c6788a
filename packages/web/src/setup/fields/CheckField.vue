<script setup lang="ts">
defineProps<{ checked: boolean; disabled: boolean }>();
const emit = defineEmits<{ toggle: [checked: boolean] }>();
</script>

<template>
  <label class="check">
    <input
      type="checkbox"
      :checked="checked"
      :disabled="disabled"
      @change="emit('toggle', ($event.target as HTMLInputElement).checked)"
    />
    <slot />
  </label>
</template>

<style scoped>
.check {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 28px;
}

input {
  accent-color: var(--bottle);
}
</style>
