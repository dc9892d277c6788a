<script setup lang="ts">
/**
 * The timetable itself. Only the lines in view are there, however many the outline has; the one that has the
 * focus stays, wherever it is scrolled to.
 */
import { defaultRangeExtractor, useVirtualizer } from '@tanstack/vue-virtual';
import { computed, nextTick, provide, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDays } from '../../../words/dates.ts';
import { useSession } from '../../../stores/session.ts';
import { nextCell } from './cells.ts';
import { COLUMNS, gridTemplate } from './columns.ts';
import type { Column } from './columns.ts';
import { useOutlineActs } from '../acts/outline-acts.ts';
import { LINE_INDEX } from './line-index.ts';
import OutlineLine from './OutlineLine.vue';
import { isNodeRow } from './rows.ts';
import type { OutlineRow } from './rows.ts';

const props = defineProps<{
  rows: readonly OutlineRow[];
  columns: readonly Column[];
  readonly: boolean;
  opened: string | null;
  selected: ReadonlySet<string>;
}>();
const acts = useOutlineActs();
const { t, locale } = useI18n();
const session = useSession();
const scroller = ref<HTMLElement | null>(null);
const focusedId = ref<string | null>(null);
/** The line that the focus is on its way to: keys that are pressed meanwhile count from there. */
const wishedId = ref<string | null>(null);

const ROW_HEIGHT = 34;
/** Lines beyond the view on each side: with those of the tallest view, never more than eighty in all. */
const OVERSCAN = 6;
const order = computed(() => props.rows.filter(isNodeRow).map(({ id }) => id));
const at = computed(() => new Map(props.rows.map((row, index) => [row.id, index])));
provide(LINE_INDEX, (id) => at.value.get(id) ?? 0);

const virtualizer = useVirtualizer(
  computed(() => ({
    count: props.rows.length,
    getScrollElement: () => scroller.value,
    estimateSize: () => ROW_HEIGHT,
    overscan: OVERSCAN,
    getItemKey: (index: number) => props.rows[index]?.id ?? index,
    rangeExtractor: (range: Parameters<typeof defaultRangeExtractor>[0]) => {
      const inView = defaultRangeExtractor(range);
      // A line that has the focus and went out of view would take the focus with it.
      const kept = [focusedId.value, wishedId.value].flatMap((id) => at.value.get(id ?? '') ?? []);
      return [...new Set([...inView, ...kept])].sort((a, b) => a - b);
    },
  })),
);
const drawn = computed(() =>
  virtualizer.value.getVirtualItems().flatMap(({ index, start, key }) => {
    const row = props.rows[index];
    return row === undefined ? [] : [{ index, start, key: String(key), row }];
  }),
);

const cellOf = (row: string, cell: string): HTMLElement | null => {
  const line = scroller.value?.querySelector<HTMLElement>(`[data-row="${row}"]`);
  return (
    line?.querySelector<HTMLElement>(`[data-cell="${cell}"]`) ??
    line?.querySelector<HTMLElement>('[data-cell="title"]') ??
    null
  );
};

async function focus(id: string, cell = 'title'): Promise<void> {
  const index = at.value.get(id);
  if (index === undefined) return;
  wishedId.value = id;
  virtualizer.value.scrollToIndex(index, { align: 'auto' });
  const element = await arrived(id, cell);
  // Somebody has gone on meanwhile: the focus follows the last wish.
  if (wishedId.value !== id) return;
  wishedId.value = null;
  // The scroller has been moved to it already; the browser's own way would move the page as well.
  element?.focus({ preventScroll: true });
  if (element instanceof HTMLInputElement && element.type !== 'checkbox') element.select();
}

/** Some frames: a line far away is drawn once the scroller has come to it. */
const FRAMES = 12;

async function arrived(id: string, cell: string): Promise<HTMLElement | null> {
  await nextTick();
  for (let frame = 0; frame < FRAMES; frame += 1) {
    const element = cellOf(id, cell);
    if (element !== null || wishedId.value !== id) return element;
    await new Promise((resolve) => requestAnimationFrame(resolve));
  }
  return null;
}

function neighbour(id: string, step: number): string | null {
  for (let index = (at.value.get(id) ?? 0) + step; ; index += step) {
    const row = props.rows[index];
    if (row === undefined) return null;
    if (isNodeRow(row)) return row.id;
  }
}

const STEPS: Readonly<Record<string, number>> = { ArrowUp: -1, ArrowDown: 1 };
const PAGE = 12;

async function onKey(event: KeyboardEvent): Promise<void> {
  const cell = (event.target as HTMLElement).closest<HTMLElement>('[data-cell]');
  const row = cell?.closest<HTMLElement>('[data-row]')?.dataset['row'];
  if (cell === null || row === undefined) return;
  const name = cell.dataset['cell'] ?? 'title';
  const step = STEPS[event.key];
  if (step !== undefined && event.altKey) {
    event.preventDefault();
    acts.step(row, step < 0 ? 'up' : 'down', name);
    return;
  }
  if (name === 'select' && (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'a') {
    event.preventDefault();
    acts.selectAll();
    return;
  }
  const ends = event.key === 'Home' ? order.value[0] : event.key === 'End' ? order.value.at(-1) : undefined;
  if (ends !== undefined && (event.ctrlKey || event.metaKey)) {
    event.preventDefault();
    await focus(ends, name);
    return;
  }
  const isPlain = !event.altKey && !event.ctrlKey && !event.metaKey;
  const far = event.key === 'PageDown' ? PAGE : event.key === 'PageUp' ? -PAGE : step;
  if (far !== undefined && isPlain) {
    const from = wishedId.value ?? row;
    const next = walk(from, far);
    if (next === null) return;
    event.preventDefault();
    if (event.shiftKey) {
      if (name !== 'select') return;
      if (!props.selected.has(from)) acts.select(from, false);
      acts.select(next, true);
    }
    await focus(next, name);
    return;
  }
  const beside = nextCell(cell, event);
  if (beside === null) return;
  event.preventDefault();
  beside.focus();
  if (beside instanceof HTMLInputElement && beside.type !== 'checkbox') beside.select();
}

/** So many lines up or down, and no further than the ends. */
function walk(row: string, steps: number): string | null {
  let here: string | null = null;
  for (let count = 0, from = row; count < Math.abs(steps); count += 1) {
    const next = neighbour(from, Math.sign(steps));
    if (next === null) break;
    here = next;
    from = next;
  }
  return here;
}

function onFocus(event: FocusEvent): void {
  const id = (event.target as HTMLElement).closest<HTMLElement>('[data-row]')?.dataset['row'];
  if (id === undefined) return;
  focusedId.value = id;
  wishedId.value = null;
  acts.focused(id);
}

async function down(id: string): Promise<void> {
  const next = neighbour(id, 1);
  if (next !== null) await focus(next);
}

const days = (first: string, last: string): string => formatDays(first, last, locale.value, session.today);
defineExpose({ focus });
</script>

<template>
  <div ref="scroller" class="scroller" :style="{ '--columns': gridTemplate(columns) }">
    <div
      role="table"
      class="outline"
      :aria-label="t('setup.outline.caption')"
      :aria-rowcount="rows.length + 1"
      @keydown="onKey"
      @focusin="onFocus"
    >
      <div role="rowgroup" class="head">
        <div role="row" class="line" aria-rowindex="1">
          <span role="columnheader"
            ><span class="visually-hidden">{{ t('setup.outline.columns.drag') }}</span></span
          >
          <span role="columnheader">{{ t('setup.outline.columns.number') }}</span>
          <span role="columnheader">{{ t('setup.outline.columns.title') }}</span>
          <span
            v-for="column in COLUMNS.filter((one) => columns.includes(one))"
            :key="column"
            role="columnheader"
            :class="column"
            >{{ t(`setup.outline.columns.${column}`) }}</span
          >
          <span role="columnheader"
            ><span class="visually-hidden">{{ t('setup.outline.columns.acts') }}</span></span
          >
        </div>
      </div>
      <div role="rowgroup" class="body" :style="{ height: `${virtualizer.getTotalSize()}px` }">
        <div
          v-for="{ index, start, key, row } in drawn"
          :key="key"
          class="place"
          :style="{ transform: `translateY(${start}px)` }"
          role="presentation"
        >
          <OutlineLine
            v-if="isNodeRow(row)"
            :row="row"
            :columns="columns"
            :readonly="readonly"
            :opened="row.id === opened"
            :selected="selected.has(row.id)"
            @next="down(row.id)"
          />
          <div v-else role="row" :aria-rowindex="index + 2" class="between">
            <span role="cell" class="figures number">{{
              row.kind === 'pause' ? (row.number ?? '–') : '–'
            }}</span>
            <span role="cell">{{
              row.kind === 'pause' ? row.name : t('setup.outline.spare', { number: row.slot.number })
            }}</span>
            <span role="cell" class="figures">{{
              row.kind === 'pause' ? days(row.first, row.last) : days(row.slot.first, row.slot.last)
            }}</span>
          </div>
        </div>
      </div>
    </div>
  </div>
</template>

<style scoped>
.scroller {
  min-width: 0;
  min-height: 0;
  overflow: auto;
  background: var(--card);
}

.outline {
  min-width: 560px;
}

.head {
  position: sticky;
  top: 0;
  z-index: 2;
  background: var(--card);
}

.head .line {
  display: grid;
  grid-template-columns: var(--columns);
  align-items: center;
  height: 32px;
  border-bottom: 1px solid var(--rule);
}

.head span {
  padding: 0 6px;
  font-size: 12.5px;
  white-space: nowrap;
}

.head .minutes {
  text-align: end;
}

.body {
  position: relative;
}

/* What is said of a cell lies over the lines after it. */
.place:has(.said) {
  z-index: 1;
}

.place {
  position: absolute;
  inset: 0 0 auto;
}

.between {
  display: flex;
  gap: 16px;
  align-items: center;
  height: 34px;
  padding: 0 6px 0 52px;
  border-bottom: 1px solid var(--rule);
  background: repeating-linear-gradient(-45deg, transparent 0 5px, var(--mist) 5px 10px);
  color: var(--ink-soft);
  font-size: 13.5px;
}

.between .number {
  width: 36px;
}
</style>
