<script setup lang="ts">
/** A button of one sign. Its words are its name, and what is shown to those who wait over it. */
import type { Component } from 'vue';
import PushButton from './PushButton.vue';

withDefaults(
  defineProps<{
    icon: Component;
    label: string;
    /** Shorter words for those who see where it stands; else the label. */
    hint?: string | undefined;
    size?: number;
  }>(),
  { hint: undefined, size: 17 },
);
</script>

<template>
  <PushButton weight="bare" square :aria-label="label" :title="hint ?? label">
    <component :is="icon" :size="size" aria-hidden="true" />
  </PushButton>
</template>
