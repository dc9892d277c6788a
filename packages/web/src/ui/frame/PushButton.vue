<script setup lang="ts">
/** A button, or a link that looks like one: the library's, in the weights and sizes of ours. */
import type { RouteLocationRaw } from 'vue-router';
import { VBtn } from 'vuetify/components/VBtn';

withDefaults(
  defineProps<{
    /** `main` is what one came for, `go` what opens a course, `bare` what is beside the matter. */
    weight?: 'usual' | 'main' | 'go' | 'bare';
    small?: boolean;
    /** Of one sign. */
    square?: boolean;
    to?: RouteLocationRaw;
  }>(),
  { weight: 'usual', small: false, square: false },
);
</script>

<template>
  <VBtn :class="['button', weight, { small, square }]" variant="text" :to="to"><slot /></VBtn>
</template>
