<script setup lang="ts">
/** A field that finds as one types. Its words are its label and stand in it while it is empty. */
import { IconSearch } from '@tabler/icons-vue';
import { VTextField } from 'vuetify/components/VTextField';

defineProps<{ label: string; placeholder?: string }>();
const text = defineModel<string>({ required: true });
</script>

<template>
  <VTextField
    v-model="text"
    class="find"
    type="search"
    density="compact"
    hide-details
    :aria-label="label"
    :placeholder="placeholder ?? label"
  >
    <template #prepend-inner><IconSearch :size="17" aria-hidden="true" /></template>
  </VTextField>
</template>

<style scoped>
.find {
  min-width: 236px;
}
</style>
