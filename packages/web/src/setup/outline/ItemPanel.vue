<script setup lang="ts">
/** What an item holds, beside the outline: a page's text, a link's address. */
import { IconX } from '@tabler/icons-vue';
import { addressSchema } from '@itinerary/core';
import type { Item } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import { usePlan } from '../../stores/plan.ts';
import TextField from '../text/TextField.vue';
import { useDraft } from '../use-draft.ts';

const props = defineProps<{ item: Item; readonly: boolean }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const plan = usePlan();

const title = useDraft(
  () => props.item.title,
  (text) => {
    if (text !== '') plan.set(props.item.id, 'title', text, props.item.title, { typing: true });
  },
);

const stored = computed(() => (props.item.kind === 'link' ? (props.item.address ?? '') : ''));
const address = ref(stored.value);
watch(stored, (now) => {
  if (full(address.value) !== now) address.value = now;
});
/** "college.example/map" is typed without its scheme more often than with it. */
const full = (typed: string): string => {
  const trimmed = typed.trim();
  return trimmed === '' || /^[a-z][a-z0-9+.-]*:/i.test(trimmed) ? trimmed : `https://${trimmed}`;
};
const isAddress = computed(
  () => address.value.trim() === '' || addressSchema.safeParse(full(address.value)).success,
);

function typeAddress(typed: string): void {
  address.value = typed;
  if (!isAddress.value) return;
  const next = full(typed);
  plan.set(props.item.id, 'address', next === '' ? null : next, stored.value === '' ? null : stored.value, {
    typing: true,
  });
}
</script>

<template>
  <aside
    class="panel"
    :aria-label="t('setup.outline.panel', { title: item.title })"
    @keydown.esc="emit('close')"
  >
    <header>
      <h2>{{ t(`learner.kinds.${item.kind}`) }}</h2>
      <button class="button bare square" type="button" :aria-label="t('common.close')" @click="emit('close')">
        <IconX :size="18" aria-hidden="true" />
      </button>
    </header>
    <VTextField
      :model-value="title.draft.value"
      :label="t('setup.outline.columns.title')"
      :readonly="readonly"
      maxlength="200"
      :error-messages="title.draft.value.trim() === '' ? [t('setup.about.titleMissing')] : []"
      @update:model-value="title.typed"
      @blur="title.left"
    />
    <TextField
      v-if="item.kind === 'page'"
      :target="item.id"
      field="text"
      :hash="item.text"
      :label="t('setup.outline.text')"
    />
    <VTextField
      v-else
      :model-value="address"
      class="figures-field"
      inputmode="url"
      name="address"
      :label="t('setup.outline.address')"
      :hint="t('setup.outline.addressHint')"
      persistent-hint
      :readonly="readonly"
      :error-messages="isAddress ? [] : [t('setup.text.addressWrong')]"
      @update:model-value="typeAddress"
    />
  </aside>
</template>

<style scoped>
.panel {
  position: sticky;
  top: 0;
  display: grid;
  gap: 12px;
  padding: 12px 14px 14px;
  border: 1px solid var(--field-rule);
  border-top: 3px solid var(--route);
  border-radius: 6px;
  background: var(--card);
}

header {
  display: flex;
  align-items: center;
  justify-content: space-between;
}

.panel :deep(.content) {
  max-height: 46vh;
}
</style>
