<script setup lang="ts">
/** Courses as a board of departures: a row each, led by the course's picture. Its rows are the slot's. */
import PlainTable from '../ui/frame/PlainTable.vue';

defineProps<{
  columns: readonly { readonly title: string; readonly atEnd?: boolean; readonly isTold?: boolean }[];
}>();
</script>

<template>
  <PlainTable class="board" :columns="columns"><slot /></PlainTable>
</template>

<style scoped>
.board {
  width: 100%;
  border-collapse: collapse;
  border-top: 3px solid var(--route);
  background: var(--card);
}

.board :deep(thead th) {
  padding: 8px 12px;
  border-bottom: 1px solid var(--ink);
  font-size: 12.5px;
  font-weight: 500;
  text-align: start;
}

.board :deep(tbody td) {
  padding: 9px 12px;
  border-bottom: 1px solid var(--rule);
  vertical-align: middle;
}

.board :deep(tbody tr) {
  cursor: pointer;
  transition: background var(--motion);
}

.board :deep(tbody tr:hover) {
  background: var(--bottle-pale);
}

.board :deep(.picture) {
  width: 68px;
  height: 54px;
}

.board :deep(.picture :is(svg, img)) {
  width: 48px;
  height: 36px;
  border-radius: 4px;
}

.board :deep(.course a) {
  display: block;
  color: var(--ink);
  font-family: var(--font-heading);
  font-size: 16px;
  font-weight: 650;
  text-decoration: none;
  overflow-wrap: anywhere;
}

.board :deep(.course a:hover) {
  text-decoration: underline;
}

@media (max-width: 860px) {
  .board,
  .board :deep(tbody),
  .board :deep(tbody tr),
  .board :deep(tbody td) {
    display: block;
  }

  .board :deep(thead) {
    display: none;
  }

  .board :deep(tbody tr) {
    position: relative;
    padding-block: 10px;
    padding-inline: 76px 12px;
    border-bottom: 1px solid var(--rule);
  }

  .board :deep(tbody td) {
    display: inline-block;
    padding: 0;
    padding-inline-end: 12px;
    border: 0;
  }

  .board :deep(td.course) {
    display: block;
  }

  .board :deep(td.picture) {
    position: absolute;
    inset-inline-start: 12px;
    top: 12px;
    width: 52px;
  }
}
</style>
