<script setup lang="ts">
/** Up and down, for whoever does not drag. */
import { IconArrowDown, IconArrowUp } from '@tabler/icons-vue';
import IconButton from '../ui/IconButton.vue';

defineProps<{ up: string; down: string; isFirst: boolean; isLast: boolean }>();
const emit = defineEmits<{ move: [by: -1 | 1] }>();
</script>

<template>
  <IconButton :icon="IconArrowUp" :label="up" :size="16" :disabled="isFirst" @click="emit('move', -1)" />
  <IconButton :icon="IconArrowDown" :label="down" :size="16" :disabled="isLast" @click="emit('move', 1)" />
</template>
