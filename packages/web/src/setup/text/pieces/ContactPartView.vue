<script setup lang="ts">
/** Where the contact cards stand, in the editor. */
import { IconAddressBook } from '@tabler/icons-vue';
import type { NodeViewProps } from '@tiptap/vue-3';
import { nodeViewProps, NodeViewWrapper } from '@tiptap/vue-3';
import { useI18n } from 'vue-i18n';

defineProps(nodeViewProps) as NodeViewProps;
const { t } = useI18n();
</script>

<template>
  <NodeViewWrapper :class="['piece', { selected }]">
    <IconAddressBook :size="17" aria-hidden="true" /> {{ t('setup.text.contactsHere') }}
  </NodeViewWrapper>
</template>

<style scoped>
.piece {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 8px 12px;
  border: 1px dashed var(--field-rule);
  border-radius: 6px;
  color: var(--ink-soft);
  cursor: pointer;
}

.selected {
  outline: 2px solid var(--bottle);
}
</style>
