<script setup lang="ts">
/** A table in our look: its head over a strong line, a hairline below each row. Its rows are the slot's. */
interface Column {
  readonly title: string;
  /** Figures stand at the end. */
  readonly atEnd?: boolean;
  /** Its title is told to whoever cannot see what stands below it. */
  readonly isTold?: boolean;
}
defineProps<{
  /** Without them it has no head. A cell with acts has no title. */
  columns?: readonly (Column | null)[];
  /** The head stays while the rows are read on. */
  sticky?: boolean;
}>();
</script>

<template>
  <table class="plain" :class="{ sticky }">
    <thead v-if="columns">
      <tr>
        <template v-for="(column, at) in columns" :key="at">
          <td v-if="column === null" />
          <th v-else scope="col" :class="{ right: column.atEnd }">
            <span :class="{ 'visually-hidden': column.isTold }">{{ column.title }}</span>
          </th>
        </template>
      </tr>
    </thead>
    <tbody>
      <slot />
    </tbody>
  </table>
</template>

<style scoped>
.plain {
  width: 100%;
  border-collapse: collapse;
  background: var(--card);
}

.plain thead :is(th, td) {
  padding: 6px 10px;
  border-bottom: 2px solid var(--route);
  font-size: 12.5px;
  font-weight: 500;
  text-align: start;
}

.plain .right {
  text-align: end;
}

/* What is read on is under a line of its own already. */
.plain.sticky thead th {
  position: sticky;
  top: 0;
  z-index: 1;
  border-bottom: 1px solid var(--field-rule);
  background: var(--card);
}

/* Whoever fills the rows says otherwise with a single class. */
:where(.plain tbody) :deep(th),
:where(.plain tbody) :deep(td) {
  padding: 5px 10px;
  border-bottom: 1px solid var(--rule);
  font-weight: inherit;
  text-align: start;
}

:where(.plain tbody) :deep(th) {
  font-weight: 500;
}

:where(.plain tbody) :deep(.right) {
  text-align: end;
}
</style>
