<script setup lang="ts">
/** Listens for the keys that work everywhere, and loads what they open when they are first pressed. */
import { defineAsyncComponent, onBeforeUnmount, onMounted, ref } from 'vue';

const CommandPalette = defineAsyncComponent(() => import('./CommandPalette.vue'));
const ShortcutList = defineAsyncComponent(() => import('./ShortcutList.vue'));
const isFinding = ref(false);
const isListing = ref(false);
const wasNeeded = ref({ palette: false, list: false });

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

function onKey(event: KeyboardEvent): void {
  if (event.defaultPrevented) return;
  if (
    (event.ctrlKey || event.metaKey) &&
    !event.altKey &&
    !event.shiftKey &&
    event.key.toLowerCase() === 'k'
  ) {
    event.preventDefault();
    wasNeeded.value.palette = true;
    isFinding.value = !isFinding.value;
  } else if (event.key === '?' && !event.ctrlKey && !event.metaKey && !isTyping(event.target)) {
    event.preventDefault();
    wasNeeded.value.list = true;
    isListing.value = true;
  }
}

onMounted(() => document.addEventListener('keydown', onKey));
onBeforeUnmount(() => document.removeEventListener('keydown', onKey));
</script>

<template>
  <CommandPalette v-if="wasNeeded.palette" v-model="isFinding" />
  <ShortcutList v-if="wasNeeded.list" v-model="isListing" />
</template>
