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
import PushButton from '../../../ui/frame/PushButton.vue';

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
    <PushButton small @click="emit('shown', true)">
      <IconEye :size="16" aria-hidden="true" /> {{ t('setup.outline.show') }}
    </PushButton>
    <PushButton small @click="emit('shown', false)">
      <IconEyeOff :size="16" aria-hidden="true" /> {{ t('setup.outline.hide') }}
    </PushButton>
    <PushButton small :disabled="!mayBeDue" @click="emit('due')">
      <IconFlag3 :size="16" aria-hidden="true" /> {{ t('setup.outline.setDue') }}
    </PushButton>
    <PushButton small @click="emit('move')">
      <IconFolderSymlink :size="16" aria-hidden="true" /> {{ t('setup.outline.moveTo') }}
    </PushButton>
    <PushButton small @click="emit('duplicate')">
      <IconCopy :size="16" aria-hidden="true" /> {{ t('setup.outline.duplicate') }}
    </PushButton>
    <PushButton small @click="emit('remove')">
      <IconTrash :size="16" aria-hidden="true" /> {{ t('setup.outline.remove') }}
    </PushButton>
    <PushButton weight="bare" small @click="emit('clear')">
      <IconX :size="16" aria-hidden="true" /> {{ t('setup.outline.clear') }}
    </PushButton>
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
