<script setup lang="ts">
import { ref, useId, watch } from 'vue';
import { VDialog } from 'vuetify/components/VDialog';
import { useBehind } from './behind.ts';

defineProps<{ title: string; width?: number }>();
const open = defineModel<boolean>({ required: true });
const headingId = useId();
useBehind(open);
/** A page has many of them, and most are never opened: until it is, there is nothing of it. */
const isUsed = ref(open.value);
watch(
  open,
  (is) => {
    if (is) isUsed.value = true;
  },
  { flush: 'sync' },
);
</script>

<template>
  <VDialog v-if="isUsed" v-model="open" :max-width="width ?? 520" :aria-labelledby="headingId">
    <section class="dialog">
      <header class="dialog-head">
        <h2 :id="headingId">{{ title }}</h2>
      </header>
      <div class="dialog-body"><slot /></div>
      <footer class="dialog-foot"><slot name="foot" /></footer>
    </section>
  </VDialog>
</template>
