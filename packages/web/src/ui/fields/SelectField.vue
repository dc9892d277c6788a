<script setup lang="ts" generic="Value extends string">
/** Choosing one of some that are too many for tiles: a list that unfolds, with its label above. */
defineProps<{
  label: string;
  value: Value;
  options: readonly { readonly value: Value; readonly title: string }[];
  disabled?: boolean;
}>();
const emit = defineEmits<{ choose: [value: Value] }>();
</script>

<template>
  <label class="select">
    <span class="soft">{{ label }}</span>
    <select
      class="input"
      :value="value"
      :disabled="disabled"
      @change="emit('choose', ($event.target as HTMLSelectElement).value as Value)"
    >
      <option v-for="option in options" :key="option.value" :value="option.value">{{ option.title }}</option>
    </select>
  </label>
</template>

<style scoped>
.select {
  display: grid;
  gap: 2px;
  min-width: 0;
}

.soft {
  font-size: 12.5px;
}

select {
  max-width: 100%;
  text-overflow: ellipsis;
}
</style>
