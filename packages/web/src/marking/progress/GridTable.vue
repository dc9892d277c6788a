<script setup lang="ts">
/**
 * Learners by items: only what is in view is drawn, both ways, with names and heads that stay. One cell is in the way of
 * the tabulator; arrows go from cell to cell.
 */
import type { GridAnswer } from '@itinerary/contract';
import { computed, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import GridLine from './GridLine.vue';
import { COLUMN, FIRST_COLUMN, HEAD, NAMES, ROW } from './grid-sizes.ts';
import { inARow, numbers, slotted } from './slots.ts';
import type { Slots } from './slots.ts';

type Item = GridAnswer['items'][number];
type Learner = GridAnswer['people'][number];
const props = defineProps<{
  label: string;
  items: readonly Item[];
  /** Where in a learner's cells each of these items is. */
  places: readonly number[];
  people: readonly Learner[];
  chosen: readonly string[];
  personTo: (person: string) => string;
}>();
const emit = defineEmits<{ choose: [person: string]; cell: [person: string, item: string] }>();
const { t } = useI18n();

/** Drawn beyond what is in view, so that nothing is white while it is scrolled. */
const MORE = 3;
/** Lines and columns come and go so many at once: it is not looked for at every point that is scrolled. */
const STEP = 2;
const box = ref<HTMLElement | null>(null);

interface Range {
  readonly from: number;
  readonly to: number;
}
const rows = ref<Range>({ from: 0, to: 0 });
const columns = ref<Range>({ from: 0, to: 0 });
const observer = new ResizeObserver(() => look());
function look(): void {
  const one = box.value;
  if (one === null) return;
  const seen = (was: Range, from: number, size: number, each: number, all: number): Range => {
    const first = Math.floor((Math.floor(from / each) - MORE) / STEP) * STEP;
    const last = Math.ceil((Math.ceil((from + size) / each) + MORE) / STEP) * STEP;
    const next = { from: Math.max(0, first), to: Math.max(0, Math.min(all, last)) };
    return next.from === was.from && next.to === was.to ? was : next;
  };
  const { people, items } = props;
  rows.value = seen(rows.value, one.scrollTop, one.clientHeight - HEAD, ROW, people.length);
  // To the right in one direction of writing, below nought in the other.
  const left = Math.abs(one.scrollLeft);
  columns.value = seen(columns.value, left, one.clientWidth - NAMES, COLUMN, items.length);
}
watch(() => [props.people, props.items], look);
onMounted(() => {
  if (box.value !== null) observer.observe(box.value);
  look();
});
onBeforeUnmount(() => observer.disconnect());

/** The cell that has the focus, or gets it. */
const at = ref({ row: 0, column: 0 });
/** The same after fewer are shown. */
const held = computed(() => ({
  row: Math.min(at.value.row, props.people.length - 1),
  column: Math.min(at.value.column, props.items.length - 1),
}));
const columnSlots = computed<Slots>((before) => {
  const { from, to } = columns.value;
  return slotted(before, numbers(from, Math.min(to, props.items.length), held.value.column));
});
const rowSlots = computed<Slots>((before) => {
  const { from, to } = rows.value;
  return slotted(before, numbers(from, Math.min(to, props.people.length), held.value.row));
});
const drawn = computed(() => inARow(columnSlots.value));
const lines = computed(() =>
  [...rowSlots.value].flatMap(([row, slot]) => {
    const learner = props.people[row];
    return learner === undefined ? [] : [{ row, slot, learner }];
  }),
);
async function go(row: number, column: number): Promise<void> {
  const next = {
    row: Math.min(Math.max(0, row), props.people.length - 1),
    column: Math.min(Math.max(0, column), props.items.length - 1),
  };
  at.value = next;
  const one = box.value;
  if (one === null) return;
  const top = next.row * ROW;
  if (top < one.scrollTop) one.scrollTop = top;
  else if (top + ROW > one.scrollTop + one.clientHeight - HEAD)
    one.scrollTop = top + ROW - one.clientHeight + HEAD;
  const sign = getComputedStyle(one).direction === 'rtl' ? -1 : 1;
  const left = next.column * COLUMN;
  const now = Math.abs(one.scrollLeft);
  if (left < now) one.scrollLeft = sign * left;
  else if (left + COLUMN > now + one.clientWidth - NAMES) {
    one.scrollLeft = sign * (left + COLUMN - one.clientWidth + NAMES);
  }
  look();
  await nextTick();
  one
    .querySelector<HTMLElement>(
      `[aria-rowindex="${next.row + 2}"] [role=gridcell][aria-colindex="${next.column + FIRST_COLUMN}"]`,
    )
    ?.focus();
}
/** The line that somebody is in is drawn wherever it is scrolled to. */
function hold(row: number): void {
  if (at.value.row !== row) at.value = { ...at.value, row };
}
function press(row: number, column: number): void {
  at.value = { row, column };
  emit('cell', props.people[row]?.person ?? '', props.items[column]?.id ?? '');
}
const PAGE = 10;
function onKey(event: KeyboardEvent): void {
  const { row, column } = held.value;
  const isRight = getComputedStyle(box.value as HTMLElement).direction === 'rtl';
  const on = isRight ? -1 : 1;
  const to: Readonly<Record<string, readonly [number, number]>> = {
    ArrowDown: [row + 1, column],
    ArrowUp: [row - 1, column],
    ArrowRight: [row, column + on],
    ArrowLeft: [row, column - on],
    PageDown: [row + PAGE, column],
    PageUp: [row - PAGE, column],
    Home: [row, 0],
    End: [row, props.items.length - 1],
  };
  if (event.key === 'Enter' && (event.target as HTMLElement).role === 'gridcell') {
    emit('cell', props.people[row]?.person ?? '', props.items[column]?.id ?? '');
    return;
  }
  const next = to[event.key];
  if (next === undefined || (event.target as HTMLElement).role !== 'gridcell') return;
  event.preventDefault();
  void go(next[0], next[1]);
}
</script>

<template>
  <div
    ref="box"
    class="grid"
    role="grid"
    :aria-label="label"
    :aria-rowcount="people.length + 1"
    :aria-colcount="items.length + 1"
    @scroll.passive="look"
    @keydown="onKey"
  >
    <div
      class="all"
      :style="{ width: `${NAMES + items.length * COLUMN}px`, height: `${HEAD + people.length * ROW}px` }"
    >
      <div class="heads" role="row" aria-rowindex="1" :style="{ height: `${HEAD}px` }">
        <span class="corner" role="columnheader" :style="{ width: `${NAMES}px` }">{{
          t('grid.learner')
        }}</span>
        <span
          v-for="[column, slot] in columnSlots"
          :key="slot"
          class="head"
          role="columnheader"
          :aria-colindex="column + FIRST_COLUMN"
          :style="{ insetInlineStart: `${NAMES + column * COLUMN}px`, width: `${COLUMN}px` }"
          :title="items[column]?.title"
        >
          <span class="turned" dir="auto">{{ items[column]?.number }} {{ items[column]?.title }}</span>
          <span class="figures count">{{ items[column]?.done || '' }}</span>
        </span>
      </div>
      <GridLine
        v-for="{ row, slot, learner } in lines"
        :key="slot"
        :style="{ top: `${HEAD + row * ROW}px`, height: `${ROW}px` }"
        :row="row"
        :learner="learner"
        :items="items"
        :places="places"
        :columns="drawn"
        :at="held.row === row ? held.column : null"
        :is-chosen="chosen.includes(learner.person)"
        :person-to="personTo(learner.person)"
        @focusin="hold(row)"
        @choose="emit('choose', learner.person)"
        @cell="press(row, $event)"
      />
    </div>
  </div>
</template>

<style scoped>
.grid {
  position: relative;
  max-height: 66vh;
  border-top: 3px solid var(--route);
  border-bottom: 1px solid var(--rule);
  background: var(--card);
  overflow: auto;
}

.all {
  position: relative;
}

.heads {
  position: sticky;
  top: 0;
  z-index: 2;
  border-bottom: 1px solid var(--rule);
  background: var(--card);
}

.corner {
  position: sticky;
  inset-inline-start: 0;
  z-index: 1;
  display: flex;
  align-items: flex-end;
  height: 100%;
  padding: 8px 12px;
  background: var(--card);
  color: var(--ink-soft);
  font-size: 13px;
}

.head {
  position: absolute;
  bottom: 0;
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: flex-end;
  height: 100%;
  font-size: 12.5px;
}

.turned {
  max-height: 100px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  writing-mode: sideways-lr;
}

.count {
  padding: 3px 0;
  color: var(--ink-soft);
}
</style>
