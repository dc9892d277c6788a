<script setup lang="ts">
/** A dialog over what the institution keeps: what it is for, what went wrong, and the list of it. */
import DialogBox from '../ui/frame/DialogBox.vue';

defineProps<{ title: string; text: string; width: number; failure: string | null; said: string }>();
const isOpen = defineModel<boolean>({ required: true });
</script>

<template>
  <DialogBox v-model="isOpen" :title="title" :width="width">
    <p>{{ text }}</p>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <p class="visually-hidden" role="status">{{ said }}</p>
    <div class="kept"><slot /></div>
    <template #foot><slot name="foot" /></template>
  </DialogBox>
</template>

<style scoped>
.failure {
  margin-top: 10px;
  padding: 8px 12px;
  border-inline-start: 4px solid var(--blocker);
  background: var(--blocker-pale);
  overflow-wrap: anywhere;
}

.kept :deep(ul) {
  max-height: 46vh;
  margin: 12px 0 0;
  padding: 0;
  overflow: auto;
  border-top: 3px solid var(--route);
  list-style: none;
}

.kept :deep(li) {
  display: grid;
  align-items: center;
  padding: 3px 6px;
  border-bottom: 1px solid var(--rule);
}
</style>
