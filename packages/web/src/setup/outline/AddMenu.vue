<script setup lang="ts">
/** What can be added, all of it in view. */
import { IconPlus } from '@tabler/icons-vue';
import { ITEM_KINDS } from '@itinerary/core';
import type { ItemKind } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import ItemSign from '../../learner/outline/ItemSign.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import BareButton from '../../ui/frame/BareButton.vue';

const emit = defineEmits<{ section: []; item: [kind: ItemKind] }>();
const { t } = useI18n();
</script>

<template>
  <div class="add" role="group" :aria-label="t('setup.outline.add')">
    <PushButton weight="main" @click="emit('section')">
      <IconPlus :size="18" aria-hidden="true" /> {{ t('setup.outline.addSection') }}
    </PushButton>
    <BareButton
      v-for="kind in ITEM_KINDS"
      :key="kind"
      class="kind"
      :title="t('setup.outline.addKind', { kind: t(`learner.kinds.${kind}`) })"
      :aria-label="t('setup.outline.addKind', { kind: t(`learner.kinds.${kind}`) })"
      @click="emit('item', kind)"
    >
      <ItemSign :kind="kind" aria-hidden="true" />
      <span class="word" aria-hidden="true">{{ t(`learner.kinds.${kind}`) }}</span>
    </BareButton>
  </div>
</template>

<style scoped>
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
  align-items: center;
}

.add .main {
  margin-inline-end: 4px;
}

.kind {
  display: grid;
  gap: 1px;
  justify-items: center;
  min-width: 34px;
  min-height: 36px;
  align-content: center;
  padding: 3px 5px;
  border: 1px solid transparent;
  border-radius: 6px;
  background: none;
  font-size: 11.5px;
  line-height: 1.2;
  cursor: pointer;
}

@container outline (max-width: 1020px) {
  .word {
    display: none;
  }
}

.kind:hover {
  border-color: var(--field-rule);
  background: var(--card);
}
</style>
