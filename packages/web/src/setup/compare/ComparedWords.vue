<script setup lang="ts">
/** What stays, what goes (struck out) and what comes (underlined). */
import type { Piece } from './word-changes.ts';

defineProps<{ pieces: readonly Piece[] }>();
</script>

<template>
  <span>
    <component
      :is="piece.kind === 'gone' ? 'del' : piece.kind === 'new' ? 'ins' : 'span'"
      v-for="(piece, at) in pieces"
      :key="at"
      >{{ piece.text }}</component
    >
  </span>
</template>

<style scoped>
del {
  color: var(--blocker);
}

ins {
  background: var(--bottle-pale);
  color: var(--open);
  text-decoration: underline;
  text-decoration-thickness: 2px;
}

/* What went and what came in its place stand apart, whatever the words are. */
del + ins {
  margin-inline-start: 3px;
}
</style>
