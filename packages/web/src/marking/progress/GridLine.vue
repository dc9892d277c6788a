<script setup lang="ts">
/** One learner's line of the grid. It is drawn anew for what has changed in it alone: the grid is scrolled at every frame. */
import type { GridAnswer } from '@itinerary/contract';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { VCheckboxBtn } from 'vuetify/components/VCheckbox';
import { COLUMN, FIRST_COLUMN, NAMES } from './grid-sizes.ts';
import type { DrawnColumn } from './slots.ts';

const props = defineProps<{
  row: number;
  learner: GridAnswer['people'][number];
  items: GridAnswer['items'];
  places: readonly number[];
  /** The columns that are drawn. */
  columns: readonly DrawnColumn[];
  /** The column that is in the way of the tabulator; null: none of this line. */
  at: number | null;
  isChosen: boolean;
  personTo: string;
}>();
const emit = defineEmits<{ choose: []; cell: [column: number] }>();
const { t } = useI18n();

const SIGNS: Readonly<Record<string, string>> = { d: '●', s: '◆', k: '●', b: '!', o: '', '-': '·' };
const WORDS: Readonly<Record<string, string>> = {
  d: 'done',
  s: 'staff',
  k: 'kept',
  b: 'behind',
  o: 'open',
  '-': 'none',
};
const letter = (column: number): string => props.learner.cells[props.places[column] ?? -1] ?? '-';

/** Said of a hundred cells at every frame: the sentence is looked up once, and so are the states. */
const NAMED = { name: '\u0001', item: '\u0002', state: '\u0003' };
const sentence = computed(() => t('grid.cell', NAMED).replace(NAMED.name, () => props.learner.name));
const states = computed(() =>
  Object.fromEntries(Object.entries(WORDS).map(([key, word]) => [key, t(`grid.states.${word}`)])),
);
const words = (column: number): string =>
  sentence.value
    .replace(NAMED.item, () => props.items[column]?.title ?? '')
    .replace(NAMED.state, () => states.value[letter(column)] ?? '');

function press(event: MouseEvent): void {
  const cell = (event.target as HTMLElement).closest('[role=gridcell]');
  if (cell !== null) emit('cell', Number(cell.getAttribute('aria-colindex')) - FIRST_COLUMN);
}
</script>

<template>
  <div class="line" role="row" :aria-rowindex="row + 2" @click="press">
    <span class="name" role="rowheader" :style="{ width: `${NAMES}px` }">
      <VCheckboxBtn
        class="tick"
        density="compact"
        :model-value="isChosen"
        :aria-label="learner.name"
        @update:model-value="emit('choose')"
      />
      <RouterLink class="who" :to="personTo">{{ learner.name }}</RouterLink>
      <span class="figures soft">{{ `${learner.done}/${learner.counted}` }}</span>
    </span>
    <span
      v-for="{ column, slot, gap } in columns"
      :key="slot"
      v-memo="[row, column, gap, learner, items, at === column]"
      role="gridcell"
      :class="`cell ${WORDS[letter(column)]}`"
      :aria-colindex="column + FIRST_COLUMN"
      :aria-label="words(column)"
      :tabindex="at === column ? 0 : -1"
      :style="gap === 0 ? undefined : `margin-inline-start: ${gap * COLUMN}px`"
    >
      {{ SIGNS[letter(column)] }}
    </span>
  </div>
</template>

<style scoped>
/* Cells stand in a row by themselves: a thousand that are placed one by one are painted one by one. */
.line {
  position: absolute;
  display: flex;
  inset-inline: 0;
  border-bottom: 1px solid var(--rule);
  contain: strict;
}

.name {
  position: sticky;
  inset-inline-start: 0;
  z-index: 1;
  display: flex;
  flex: none;
  gap: 8px;
  align-items: center;
  height: 100%;
  padding-inline: 12px;
  background: var(--card);
}

.tick {
  flex: 0 0 auto;
}

.who {
  flex: 1 1 auto;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.cell {
  flex: none;
  width: 34px;
  height: 100%;
  color: var(--ink-soft);
  line-height: 33px;
  text-align: center;
  cursor: pointer;
}

.cell.done,
.cell.kept,
.cell.staff {
  color: var(--open);
}

.cell.behind {
  color: var(--advice);
  font-weight: 700;
}

.cell:focus-visible {
  outline: 2px solid var(--focus);
  outline-offset: -3px;
}
</style>
