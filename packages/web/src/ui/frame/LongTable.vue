<script setup lang="ts" generic="Row extends { readonly key: string }">
/**
 * A table of very many rows, of which the browser has those in view alone: the library's, in our look. With `chosen`,
 * rows can be ticked. Cells are the slots', by the key of their column; else they are the row's own words.
 */
import { computed } from 'vue';
import { VCheckboxBtn } from 'vuetify/components/VCheckbox';
import { VDataTableVirtual } from 'vuetify/components/VDataTable';

export interface LongColumn {
  readonly key: string;
  readonly title: string;
  readonly width?: number;
  readonly sortable?: boolean;
  readonly sort?: (one: never, other: never) => number;
}

const props = defineProps<{
  label: string;
  rows: readonly Row[];
  columns: readonly LongColumn[];
  /** Of a row, as it is chosen and told. */
  nameOf: (row: Row) => string;
  /** What "all of them" is called where rows can be ticked. */
  allLabel?: string | undefined;
  /** In pixels. */
  rowHeight?: number;
  /** What is shown where there is no row. */
  none?: string;
}>();
const chosen = defineModel<readonly string[] | undefined>('chosen');
const sortBy = defineModel<readonly { key: string; order?: boolean | 'asc' | 'desc' }[]>('sortBy', {
  default: () => [],
});

const headers = computed(() =>
  props.columns.map(({ key, title, width, sortable = true, sort }) => ({
    key,
    title,
    value: key,
    sortable,
    ...(width === undefined ? {} : { width, minWidth: width }),
    ...(sort === undefined ? {} : { sort: sort as (one: unknown, other: unknown) => number }),
  })),
);
const HEAD = 40;
/** As high as its rows, up to what a screen holds: then they are scrolled within it. */
const height = computed(
  () => `min(62vh, ${HEAD + Math.max(1, props.rows.length) * (props.rowHeight ?? 44) + 12}px)`,
);
const picked = computed(() => new Set(chosen.value ?? []));
const isAll = computed(() => props.rows.length > 0 && props.rows.every(({ key }) => picked.value.has(key)));
const isSome = computed(() => !isAll.value && props.rows.some(({ key }) => picked.value.has(key)));

function toggle(key: string): void {
  const next = new Set(picked.value);
  if (!next.delete(key)) next.add(key);
  chosen.value = [...next];
}
/** All that are shown, or none of them; who is not shown stays as they are. */
function toggleAll(): void {
  const shown = new Set(props.rows.map(({ key }) => key));
  const others = [...picked.value].filter((key) => !shown.has(key));
  chosen.value = isAll.value ? others : [...others, ...shown];
}
const rowOf = (item: unknown): Row => item as Row;
</script>

<template>
  <VDataTableVirtual
    v-model:sort-by="sortBy as never"
    class="long-table"
    :style="{ '--row-height': `${rowHeight ?? 44}px` }"
    density="compact"
    fixed-header
    must-sort
    item-value="key"
    :aria-label="label"
    :headers="headers"
    :items="rows as Row[]"
    :item-height="rowHeight ?? 44"
    :height="height"
    :show-select="chosen !== undefined"
    :no-data-text="none ?? ''"
    :hide-no-data="none === undefined"
  >
    <template #[`header.data-table-select`]>
      <VCheckboxBtn
        density="compact"
        :model-value="isAll"
        :indeterminate="isSome"
        :aria-label="allLabel ?? label"
        @update:model-value="toggleAll"
      />
    </template>
    <template #[`item.data-table-select`]="{ item }">
      <VCheckboxBtn
        density="compact"
        :model-value="picked.has(rowOf(item).key)"
        :aria-label="nameOf(rowOf(item))"
        @update:model-value="toggle(rowOf(item).key)"
      />
    </template>
    <template v-for="{ key } in columns" #[`item.${key}`]="{ item, value }" :key="key">
      <slot :name="key" :row="rowOf(item)">{{ value }}</slot>
    </template>
  </VDataTableVirtual>
</template>

<style scoped>
.long-table {
  border-top: 3px solid var(--route);
  border-bottom: 1px solid var(--rule);
  background: var(--card);
  color: var(--ink);
}

.long-table :deep(th) {
  height: 40px;
  background: var(--card);
  color: var(--ink-soft);
  font-size: 12.5px;
  font-weight: 500;
  white-space: nowrap;
}

/* As high as the library reckons with, whatever its density says. */
.long-table :deep(tbody tr > td) {
  height: var(--row-height);
  padding-block: 3px;
  font-size: 14px;
  line-height: 1.3;
}

.long-table :deep(tr:hover td) {
  background: color-mix(in srgb, var(--bottle-pale) 45%, transparent);
}
</style>
