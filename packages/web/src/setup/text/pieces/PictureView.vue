<script setup lang="ts">
/** A picture in the editor, with what is still to be said of it. */
import { IconBulb } from '@tabler/icons-vue';
import type { NodeViewProps } from '@tiptap/vue-3';
import { nodeViewProps, NodeViewWrapper } from '@tiptap/vue-3';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { path } from '../../../api/client.ts';
import { usePlan } from '../../../stores/plan.ts';

const props = defineProps(nodeViewProps) as NodeViewProps;
const { t } = useI18n();
const plan = usePlan();
const source = computed(
  () => path`/api/courses/${plan.course?.id ?? ''}/files/${String(props.node.attrs['hash'])}`,
);
const alt = computed(() => props.node.attrs['alt'] as string | null);
const credit = computed(() =>
  [props.node.attrs['author'], props.node.attrs['licence']].filter((words) => Boolean(words)).join(' · '),
);
</script>

<template>
  <NodeViewWrapper as="figure" :class="['picture', { selected }]" data-drag-handle>
    <img :src="source" :alt="alt ?? ''" />
    <figcaption v-if="alt === null" class="silent">
      <IconBulb :size="15" aria-hidden="true" /> {{ t('setup.text.silentPicture') }}
    </figcaption>
    <figcaption v-if="credit">{{ credit }}</figcaption>
  </NodeViewWrapper>
</template>

<style scoped>
.picture {
  width: fit-content;
  max-width: 100%;
  cursor: pointer;
}

.selected {
  outline: 2px solid var(--bottle);
  outline-offset: 2px;
}

img {
  min-width: 40px;
  min-height: 24px;
}

.silent {
  display: flex;
  gap: 4px;
  align-items: center;
  color: var(--advice);
}
</style>
