<script setup lang="ts">
import { MAX_OUTCOME } from '@itinerary/core';
import CellField from '../../ui/fields/CellField.vue';

defineProps<{ text: string; label: string; readonly: boolean; keepAs: string }>();
const emit = defineEmits<{ typed: [text: string] }>();
</script>

<template>
  <CellField
    :text="text"
    :label="label"
    :readonly="readonly"
    :most="MAX_OUTCOME"
    :keep-as="keepAs"
    @type="emit('typed', $event)"
  />
</template>
