/** Of each field that was set lately: still here alone, or with the server. */
import type { Change } from '@itinerary/core';
import { computed, shallowReactive } from 'vue';

/** How long it is said that a field is saved. */
const SAID_MS = 4000;

const keysOf = (changes: readonly Change[]): readonly string[] =>
  changes.flatMap(({ edits }) =>
    edits.flatMap((edit) => (edit.kind === 'set' ? [`${edit.target} ${edit.field}`] : [])),
  );

export function useFieldStates(pending: () => readonly Change[]): {
  readonly stateOf: (target: string, field: string) => 'kept' | 'saved' | null;
  /** The server has taken them. */
  readonly settled: (changes: readonly Change[]) => void;
} {
  const kept = computed(() => new Set(keysOf(pending())));
  const saved = shallowReactive(new Map<string, ReturnType<typeof setTimeout>>());
  return {
    stateOf: (target, field) => {
      const key = `${target} ${field}`;
      if (kept.value.has(key)) return 'kept';
      return saved.has(key) ? 'saved' : null;
    },
    settled: (changes) => {
      for (const key of new Set(keysOf(changes))) {
        clearTimeout(saved.get(key));
        saved.set(
          key,
          setTimeout(() => saved.delete(key), SAID_MS),
        );
      }
    },
  };
}
