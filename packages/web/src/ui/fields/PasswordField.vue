<script setup lang="ts">
/** A password that somebody chooses: told at once where it is too short. */
import { computed } from 'vue';
import { VTextField } from 'vuetify/components/VTextField';
import { LEAST_PASSWORD } from '../../stores/limits.ts';

defineProps<{
  label: string;
  /** What is said of one that is too short. */
  short: string;
}>();
const password = defineModel<string>({ required: true });
const isShort = computed(() => password.value !== '' && password.value.length < LEAST_PASSWORD);
</script>

<template>
  <VTextField
    v-model="password"
    :label="label"
    type="password"
    autocomplete="new-password"
    :error-messages="isShort ? [short] : []"
    :aria-invalid="isShort"
    required
  />
</template>
