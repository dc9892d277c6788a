<script setup lang="ts" generic="Value extends string">
/** Choosing among few, one a line, each with what it comes to. */
import { VRadio } from 'vuetify/components/VRadio';
import { VRadioGroup } from 'vuetify/components/VRadioGroup';

export interface Choice<Of> {
  readonly value: Of;
  readonly title: string;
  /** What it comes to, as figures. */
  readonly text?: string;
  readonly disabled?: boolean;
  /** Above its title. */
  readonly picture?: { readonly src: string; readonly alt: string } | undefined;
}

defineProps<{
  legend: string;
  legendHidden?: boolean;
  choices: readonly Choice<Value>[];
  chosen: Value | null;
  disabled?: boolean;
}>();
const emit = defineEmits<{ choose: [value: Value] }>();
</script>

<template>
  <VRadioGroup
    class="choices"
    :model-value="chosen"
    :disabled="disabled ?? false"
    color="primary"
    density="compact"
    hide-details
    @update:model-value="$event && emit('choose', $event as Value)"
  >
    <template #label>
      <span :class="legendHidden ? 'visually-hidden' : 'legend'">{{ legend }}</span>
    </template>
    <VRadio
      v-for="one in choices"
      :key="one.value"
      :value="one.value"
      :disabled="one.disabled ?? disabled ?? false"
      :class="{ chosen: one.value === chosen }"
    >
      <template #label>
        <span class="words">
          <img v-if="one.picture" :src="one.picture.src" :alt="one.picture.alt" />
          {{ one.title }}
          <span v-if="one.text" class="soft figures computed">{{ one.text }}</span>
        </span>
      </template>
    </VRadio>
  </VRadioGroup>
</template>

<style scoped>
.legend {
  color: var(--ink-soft);
  font-size: 12.5px;
}

.choices :deep(.v-selection-control-group) {
  margin: 0;
  padding: 0;
  border: 1px solid var(--field-rule);
  border-radius: 6px;
  background: var(--card);
}

.choices :deep(.v-radio) {
  min-height: 34px;
  padding-inline: 8px 12px;
}

.choices :deep(.v-radio + .v-radio) {
  border-top: 1px solid var(--rule);
}

.choices :deep(.v-radio .v-label) {
  flex: 1;
  padding-block: 4px;
}

.choices > :deep(.v-input__control > .v-label) {
  margin: 0 0 4px;
}

.words {
  display: flex;
  flex: 1;
  flex-wrap: wrap;
  gap: 0 12px;
  justify-content: space-between;
  color: var(--ink);
}

.words img {
  max-width: min(320px, 100%);
  max-height: 220px;
  object-fit: contain;
}

.words img + * {
  flex-basis: 100%;
}

.computed {
  font-size: 13px;
}
</style>
