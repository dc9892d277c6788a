<script setup lang="ts">
/** Something that is asked, under its number: the words, what it is worth, and how it is answered. */
defineProps<{ number: number; text: string }>();
</script>

<template>
  <fieldset class="asked-frame">
    <legend>
      <span class="number figures">{{ number }}</span>
      <span class="asked" dir="auto">{{ text }}</span>
      <slot name="worth" />
    </legend>
    <slot />
  </fieldset>
</template>

<style scoped>
.asked-frame {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  min-width: 0;
  margin: 0;
  padding: 0 0 14px;
  border: 0;
  border-bottom: 1px solid var(--rule);
}

legend {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 2px 10px;
  align-items: baseline;
  width: 100%;
  margin-bottom: 8px;
  padding: 0;
}

.number {
  min-width: 26px;
  padding: 1px 6px;
  border-radius: 10px;
  background: var(--mist);
  font-size: 13px;
  text-align: center;
}

.asked {
  font-weight: 600;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
</style>
