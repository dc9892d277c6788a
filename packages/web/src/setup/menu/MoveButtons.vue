<script setup lang="ts">
/** Up and down, for whoever does not drag. */
import { IconArrowDown, IconArrowUp } from '@tabler/icons-vue';
import { useI18n } from 'vue-i18n';
import IconButton from '../../ui/IconButton.vue';

defineProps<{ name: string; isFirst: boolean; isLast: boolean }>();
const emit = defineEmits<{ move: [by: number] }>();
const { t } = useI18n();
</script>

<template>
  <IconButton
    :icon="IconArrowUp"
    :label="t('setup.menu.up', { name })"
    :size="16"
    :disabled="isFirst"
    @click="emit('move', -1)"
  />
  <IconButton
    :icon="IconArrowDown"
    :label="t('setup.menu.down', { name })"
    :size="16"
    :disabled="isLast"
    @click="emit('move', 1)"
  />
</template>
