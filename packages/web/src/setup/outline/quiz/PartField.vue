<script setup lang="ts">
/** One more of a list: what is typed is put in with Enter, or when the field is left. */
import { ref } from 'vue';
import { VTextField } from 'vuetify/components/VTextField';

defineProps<{ label: string; hint?: string; most: number; readonly: boolean }>();
const emit = defineEmits<{ put: [text: string] }>();
const typed = ref('');

function put(): void {
  const text = typed.value.trim();
  if (text === '') return;
  typed.value = '';
  emit('put', text);
}
</script>

<template>
  <VTextField
    v-if="!readonly"
    v-model="typed"
    :label="label"
    :hint="hint"
    :maxlength="most"
    dir="auto"
    hide-details="auto"
    @keydown.enter.prevent="put"
    @blur="put"
  />
</template>
