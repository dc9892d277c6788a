<script setup lang="ts">
/** A colour: typed as people write one, or picked. */
import { readColour } from '@itinerary/core';
import { IconPalette } from '@tabler/icons-vue';
import { useI18n } from 'vue-i18n';
import { VColorPicker } from 'vuetify/components/VColorPicker';
import { VMenu } from 'vuetify/components/VMenu';
import IconButton from '../frame/IconButton.vue';
import TypedField from './TypedField.vue';

defineProps<{ colour: string | null; label: string; name: string; readonly?: boolean }>();
/** `picking`: one of many on the way to the one that is meant. */
const emit = defineEmits<{ set: [colour: string | null, picking: boolean] }>();
const { t } = useI18n();
/** Where the picker begins while there is no colour. */
const NONE = '#15493b';

function pick(colour: unknown): void {
  const read = readColour(String(colour));
  if (read.ok && read.value !== null) emit('set', read.value, true);
}
</script>

<template>
  <TypedField
    :name="name"
    :value="colour"
    :read="readColour"
    :write="(value: string) => value"
    :label="label"
    :readonly="readonly ?? false"
    placeholder="#1f6b66"
    keeps
    @set="emit('set', $event, false)"
  >
    <template #prepend-inner>
      <span class="swatch" :style="{ background: colour ?? 'transparent' }" />
    </template>
    <template v-if="!readonly" #append-inner>
      <VMenu :close-on-content-click="false" location="bottom end">
        <template #activator="{ props: opener }">
          <IconButton v-bind="opener" :icon="IconPalette" :label="t('common.pickColour', { label })" />
        </template>
        <VColorPicker
          :model-value="colour ?? NONE"
          mode="hex"
          hide-inputs
          :elevation="0"
          @update:model-value="pick"
        />
      </VMenu>
    </template>
  </TypedField>
</template>

<style scoped>
.swatch {
  width: 20px;
  height: 20px;
  margin-inline-end: 8px;
  border: 1px solid var(--field-rule);
  border-radius: 4px;
}
</style>
