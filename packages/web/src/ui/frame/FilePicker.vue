<script setup lang="ts">
/** Choosing files, opened by a button beside it. The library's field, out of sight. */
import { ref } from 'vue';
import { VFileInput } from 'vuetify/components/VFileInput';

defineProps<{ label: string; accept?: string; multiple?: boolean }>();
const emit = defineEmits<{ pick: [files: File[]] }>();
const field = ref<{ $el: HTMLElement } | null>(null);
/** Emptied after each time, so that the same file can be chosen again. */
const none = ref<File[]>([]);

function take(picked: File | File[] | undefined): void {
  const files = picked === undefined ? [] : Array.isArray(picked) ? picked : [picked];
  none.value = [];
  if (files.length > 0) emit('pick', files);
}

defineExpose({ open: () => field.value?.$el.querySelector<HTMLInputElement>('input[type=file]')?.click() });
</script>

<template>
  <span class="visually-hidden" aria-hidden="true">
    <VFileInput
      prepend-icon=""
      ref="field"
      :model-value="none"
      :accept="accept"
      :multiple="multiple ?? false"
      :label="label"
      tabindex="-1"
      hide-details
      @update:model-value="take"
    />
  </span>
</template>
