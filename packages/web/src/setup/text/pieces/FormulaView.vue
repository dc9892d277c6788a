<script setup lang="ts">
/** A formula in the editor, set. */
import type { NodeViewProps } from '@tiptap/vue-3';
import { nodeViewProps, NodeViewWrapper } from '@tiptap/vue-3';
import { computed } from 'vue';
import { formula } from '../formulas.ts';

const props = defineProps(nodeViewProps) as NodeViewProps;
const isBlock = computed(() => props.node.type.name === 'formulaBlock');
const html = computed(() =>
  formula({ kind: 'formula', tex: String(props.node.attrs['tex'] ?? ''), isBlock: isBlock.value }),
);
</script>

<template>
  <NodeViewWrapper :as="isBlock ? 'div' : 'span'" :class="['piece', { selected, block: isBlock }]">
    <!-- Set by KaTeX from TeX, without trust. -->
    <!-- eslint-disable-next-line vue/no-v-html -->
    <span v-html="html" />
  </NodeViewWrapper>
</template>

<style scoped>
.piece {
  padding: 0 2px;
  border-radius: 3px;
  cursor: pointer;
}

.block {
  padding: 6px 8px;
  overflow-x: auto;
}

.piece:hover,
.selected {
  background: var(--bottle-pale);
}

.selected {
  outline: 2px solid var(--bottle);
}
</style>
