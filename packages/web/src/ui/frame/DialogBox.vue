<script setup lang="ts">
import { useId } from 'vue';
import { VDialog } from 'vuetify/components/VDialog';
import { useBehind } from './behind.ts';

defineProps<{ title: string; width?: number }>();
const open = defineModel<boolean>({ required: true });
const headingId = useId();
useBehind(open);
</script>

<template>
  <VDialog v-model="open" :max-width="width ?? 520" :aria-labelledby="headingId">
    <section class="dialog">
      <header class="dialog-head">
        <h2 :id="headingId">{{ title }}</h2>
      </header>
      <div class="dialog-body"><slot /></div>
      <footer class="dialog-foot"><slot name="foot" /></footer>
    </section>
  </VDialog>
</template>
