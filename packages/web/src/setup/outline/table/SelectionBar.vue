<script setup lang="ts">
/** What can be done with all the lines that are selected. */
import {
  IconCopy,
  IconEye,
  IconEyeOff,
  IconFlag3,
  IconFolderSymlink,
  IconTrash,
  IconX,
} from '@tabler/icons-vue';
import { useI18n } from 'vue-i18n';

defineProps<{ count: number; mayBeDue: boolean }>();
const emit = defineEmits<{
  shown: [shown: boolean];
  due: [];
  move: [];
  duplicate: [];
  remove: [];
  clear: [];
}>();
const { t } = useI18n();
</script>

<template>
  <div class="selection" role="toolbar" :aria-label="t('setup.outline.selection')">
    <strong role="status">{{ t('setup.outline.selected', { count }, count) }}</strong>
    <button class="button small" type="button" @click="emit('shown', true)">
      <IconEye :size="16" aria-hidden="true" /> {{ t('setup.outline.show') }}
    </button>
    <button class="button small" type="button" @click="emit('shown', false)">
      <IconEyeOff :size="16" aria-hidden="true" /> {{ t('setup.outline.hide') }}
    </button>
    <button class="button small" type="button" :disabled="!mayBeDue" @click="emit('due')">
      <IconFlag3 :size="16" aria-hidden="true" /> {{ t('setup.outline.setDue') }}
    </button>
    <button class="button small" type="button" @click="emit('move')">
      <IconFolderSymlink :size="16" aria-hidden="true" /> {{ t('setup.outline.moveTo') }}
    </button>
    <button class="button small" type="button" @click="emit('duplicate')">
      <IconCopy :size="16" aria-hidden="true" /> {{ t('setup.outline.duplicate') }}
    </button>
    <button class="button small" type="button" @click="emit('remove')">
      <IconTrash :size="16" aria-hidden="true" /> {{ t('setup.outline.remove') }}
    </button>
    <button class="button bare small" type="button" @click="emit('clear')">
      <IconX :size="16" aria-hidden="true" /> {{ t('setup.outline.clear') }}
    </button>
  </div>
</template>

<style scoped>
.selection {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  padding: 6px 10px;
  border: 1px solid var(--bottle);
  border-radius: 6px;
  background: var(--bottle-pale);
}

.selection strong {
  margin-inline-end: 6px;
}
</style>
