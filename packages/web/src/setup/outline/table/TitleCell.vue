<script setup lang="ts">
/** The title of a line. Several lines that are pasted into it become as many items. */
import { MAX_TITLE } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import CellField from '../../../ui/fields/CellField.vue';

const props = defineProps<{
  /** Empty when the title follows the dates. */ title: string;
  placeholder: string;
  label: string;
  strong: boolean;
  readonly: boolean;
  mayBeEmpty: boolean;
  keepAs: string;
}>();
const emit = defineEmits<{
  typed: [title: string];
  next: [event: KeyboardEvent];
  lines: [titles: string[], replacing: boolean];
}>();
const { t } = useI18n();

function paste(event: ClipboardEvent): void {
  if (props.readonly) return;
  const words = event.clipboardData?.getData('text/plain') ?? '';
  const lines = words
    .split(/[\r\n]+/)
    .map((line) => line.trim())
    .filter((line) => line !== '');
  if (lines.length < 2) return;
  event.preventDefault();
  const { value, selectionStart, selectionEnd } = event.target as HTMLInputElement;
  const isWhole = (selectionEnd ?? 0) - (selectionStart ?? 0) === value.length;
  emit('lines', lines, isWhole);
}
</script>

<template>
  <CellField
    :class="{ strong }"
    :text="title"
    :placeholder="placeholder"
    :label="label"
    :readonly="readonly"
    :most="MAX_TITLE"
    :missing="mayBeEmpty ? null : t('setup.about.titleMissing')"
    :keep-as="keepAs"
    data-cell="title"
    @type="emit('typed', $event)"
    @keydown.enter.prevent="emit('next', $event)"
    @paste="paste"
  />
</template>

<style scoped>
.strong {
  font-family: var(--font-heading);
  font-size: 15.5px;
  font-weight: 650;
}
</style>
