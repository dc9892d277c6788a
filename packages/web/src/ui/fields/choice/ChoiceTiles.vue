<script setup lang="ts" generic="Value extends string">
/** Choosing among few: a row of tiles, each saying what it does. The slot draws what stands on top of one. */
import { useId } from 'vue';

export interface Tile<Of> {
  readonly value: Of;
  readonly title: string;
  readonly text: string;
}

defineProps<{
  legend: string;
  tiles: readonly Tile<Value>[];
  chosen: Value | null;
  disabled?: boolean;
  /** Less high, for choices of a second rank. */
  compact?: boolean;
  /** The legend is there for those who do not see that the tiles belong together. */
  legendHidden?: boolean;
}>();
const emit = defineEmits<{ choose: [value: Value] }>();
const group = useId();
</script>

<template>
  <fieldset :class="['tiles', { compact }]" :style="{ '--count': tiles.length }">
    <legend :class="{ 'visually-hidden': legendHidden }">{{ legend }}</legend>
    <label v-for="tile in tiles" :key="tile.value" :class="{ chosen: chosen === tile.value }">
      <input
        class="visually-hidden"
        type="radio"
        :name="group"
        :value="tile.value"
        :checked="chosen === tile.value"
        :disabled="disabled"
        @change="emit('choose', tile.value)"
      />
      <slot name="sign" :value="tile.value" />
      <strong>{{ tile.title }}</strong>
      <span class="soft">{{ tile.text }}</span>
    </label>
  </fieldset>
</template>

<style scoped>
.tiles {
  display: grid;
  grid-template-columns: repeat(var(--count), minmax(0, 1fr));
  gap: 10px;
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  margin-bottom: 6px;
  padding: 0;
  font-weight: 600;
}

label {
  position: relative;
  display: grid;
  gap: 2px;
  align-content: start;
  padding: 12px 14px;
  border: 1px solid var(--rule);
  border-radius: 8px;
  background: var(--card);
  cursor: pointer;
}

.compact label {
  padding: 8px 12px;
}

label .soft {
  font-size: 13px;
  line-height: 1.4;
}

label.chosen {
  border-color: var(--bottle);
  outline: 2px solid var(--bottle);
  outline-offset: -2px;
}

label:focus-within {
  box-shadow: 0 0 0 4px var(--bottle-pale);
}

@media (max-width: 720px) {
  .tiles {
    grid-template-columns: repeat(min(2, var(--count)), minmax(0, 1fr));
  }
}
</style>
