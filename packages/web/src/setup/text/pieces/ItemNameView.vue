<script setup lang="ts">
/** A link without words of its own: it reads as the item does now, wherever that has moved to. */
import { IconLink, IconLinkOff } from '@tabler/icons-vue';
import { findNode, isShown, numberOf } from '@itinerary/core';
import type { NodeViewProps } from '@tiptap/vue-3';
import { nodeViewProps, NodeViewWrapper } from '@tiptap/vue-3';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';

const props = defineProps(nodeViewProps) as NodeViewProps;
const { t } = useI18n();
const plan = usePlan();
const id = computed(() => String(props.node.attrs['item']));
const place = computed(() => (plan.course === null ? null : findNode(plan.course, id.value)));
const isThere = computed(() => place.value !== null && isShown(place.value));
const words = computed(() => {
  if (place.value === null || place.value.node.removed) return t('setup.text.itemGone');
  const number = plan.planned === null ? null : numberOf(plan.planned, id.value);
  return [number, place.value.node.title].filter((part) => part !== null).join(' ');
});
</script>

<template>
  <NodeViewWrapper
    as="span"
    :class="['name', { selected, gone: !isThere }]"
    :title="isThere ? undefined : t('setup.text.itemNotShown')"
  >
    <component :is="isThere ? IconLink : IconLinkOff" :size="14" aria-hidden="true" /> {{ words }}
  </NodeViewWrapper>
</template>

<style scoped>
.name {
  padding: 0 3px;
  border-radius: 3px;
  color: var(--bottle);
  text-decoration: underline;
  cursor: pointer;
}

.gone {
  color: var(--blocker);
  text-decoration-style: dashed;
}

.selected {
  background: var(--bottle-pale);
  outline: 2px solid var(--bottle);
}
</style>
