<script setup lang="ts">
/**
 * Learners by items: only what is in view is drawn, both ways, with names and heads that stay. One cell is in the way of
 * the tabulator; arrows go from cell to cell.
 */
import type { GridAnswer } from '@itinerary/contract';
import { computed, nextTick, onBeforeUnmount, onMounted, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VCheckboxBtn } from 'vuetify/components/VCheckbox';

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

const ROW = 34;
const COLUMN = 34;
const HEAD = 132;
const NAMES = 250;
/** Drawn beyond what is in view, so that nothing is white while it is scrolled. */
const MORE = 4;
const box = ref<HTMLElement | null>(null);
const view = ref({ top: 0, left: 0, width: 800, height: 500 });
const observer = new ResizeObserver(() => look());
function look(): void {
  const one = box.value;
  if (one === null) return;
  // To the right in one direction of writing, below nought in the other.
  view.value = {
    top: one.scrollTop,
    left: Math.abs(one.scrollLeft),
    width: one.clientWidth,
    height: one.clientHeight,
  };
}
onMounted(() => {
  if (box.value !== null) observer.observe(box.value);
  look();
});
onBeforeUnmount(() => observer.disconnect());

function range(from: number, size: number, each: number, all: number): readonly number[] {
  const first = Math.max(0, Math.floor(from / each) - MORE);
  const last = Math.min(all, Math.ceil((from + size) / each) + MORE);
  return Array.from({ length: Math.max(0, last - first) }, (_one, at) => first + at);
}
const rows = computed(() => range(view.value.top, view.value.height - HEAD, ROW, props.people.length));
const columns = computed(() => range(view.value.left, view.value.width - NAMES, COLUMN, props.items.length));

/** The cell that has the focus, or gets it. */
const at = ref({ row: 0, column: 0 });
const cellId = (row: number, column: number): string => `cell-${row}-${column}`;
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
  document.getElementById(cellId(next.row, next.column))?.focus();
}
const PAGE = 10;
function onKey(event: KeyboardEvent): void {
  const { row, column } = at.value;
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

const SIGNS: Readonly<Record<string, string>> = { d: '●', s: '◆', k: '●', b: '!', o: '', '-': '·' };
const WORDS: Readonly<Record<string, string>> = {
  d: 'done',
  s: 'staff',
  k: 'kept',
  b: 'behind',
  o: 'open',
  '-': 'none',
};
const cell = (row: number, column: number): string =>
  props.people[row]?.cells[props.places[column] ?? -1] ?? '-';
const words = (row: number, column: number): string =>
  t('grid.cell', {
    name: props.people[row]?.name ?? '',
    item: props.items[column]?.title ?? '',
    state: t(`grid.states.${WORDS[cell(row, column)] ?? 'open'}`),
  });
const share = ({ done, counted }: Learner): string => `${done}/${counted}`;
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
          v-for="column in columns"
          :key="items[column]?.id ?? column"
          class="head"
          role="columnheader"
          :aria-colindex="column + 2"
          :style="{ insetInlineStart: `${NAMES + column * COLUMN}px`, width: `${COLUMN}px` }"
          :title="items[column]?.title"
        >
          <span class="turned" dir="auto">{{ items[column]?.number }} {{ items[column]?.title }}</span>
          <span class="figures count">{{ items[column]?.done || '' }}</span>
        </span>
      </div>
      <div
        v-for="row in rows"
        :key="people[row]?.person ?? row"
        class="line"
        role="row"
        :aria-rowindex="row + 2"
        :style="{ top: `${HEAD + row * ROW}px`, height: `${ROW}px` }"
      >
        <span class="name" role="rowheader" :style="{ width: `${NAMES}px` }">
          <VCheckboxBtn
            class="tick"
            density="compact"
            :model-value="chosen.includes(people[row]?.person ?? '')"
            :aria-label="people[row]?.name"
            @update:model-value="emit('choose', people[row]?.person ?? '')"
          />
          <RouterLink class="who" :to="personTo(people[row]?.person ?? '')">{{
            people[row]?.name
          }}</RouterLink>
          <span class="figures soft">{{
            people[row] === undefined ? '' : share(people[row] as Learner)
          }}</span>
        </span>
        <span
          v-for="column in columns"
          :id="cellId(row, column)"
          :key="items[column]?.id ?? column"
          role="gridcell"
          :class="['cell', WORDS[cell(row, column)]]"
          :aria-colindex="column + 2"
          :aria-label="words(row, column)"
          :tabindex="at.row === row && at.column === column ? 0 : -1"
          :style="{ insetInlineStart: `${NAMES + column * COLUMN}px`, width: `${COLUMN}px` }"
          @click="((at = { row, column }), emit('cell', people[row]?.person ?? '', items[column]?.id ?? ''))"
        >
          {{ SIGNS[cell(row, column)] }}
        </span>
      </div>
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
  writing-mode: vertical-rl;
  transform: rotate(180deg);
}

.count {
  padding: 3px 0;
  color: var(--ink-soft);
}

.line {
  position: absolute;
  inset-inline: 0;
  border-bottom: 1px solid var(--rule);
}

.name {
  position: sticky;
  inset-inline-start: 0;
  z-index: 1;
  display: flex;
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
  position: absolute;
  top: 0;
  display: grid;
  place-items: center;
  height: 100%;
  color: var(--ink-soft);
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
