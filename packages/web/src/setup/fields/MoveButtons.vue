<script setup lang="ts">
/** Up and down, for whoever does not drag. */
import { IconArrowDown, IconArrowUp } from '@tabler/icons-vue';
import { useI18n } from 'vue-i18n';
import IconButton from '../../ui/frame/IconButton.vue';

const props = withDefaults(
  defineProps<{
    name: string;
    isFirst: boolean;
    isLast: boolean;
    /** Whose words say it: whole sentences are spoken of otherwise than names. */
    words?: 'menu' | 'outcomes';
  }>(),
  { words: 'menu' },
);
const emit = defineEmits<{ move: [by: -1 | 1] }>();
const { t } = useI18n();
const label = (way: 'up' | 'down'): string => t(`setup.${props.words}.${way}`, { name: props.name });
</script>

<template>
  <IconButton
    :icon="IconArrowUp"
    :label="label('up')"
    :size="16"
    :disabled="isFirst"
    @click="emit('move', -1)"
  />
  <IconButton
    :icon="IconArrowDown"
    :label="label('down')"
    :size="16"
    :disabled="isLast"
    @click="emit('move', 1)"
  />
</template>
