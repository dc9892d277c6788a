/** Which lines are selected: one by one, or a run of them from where one began. */
import { computed, ref } from 'vue';
import type { ComputedRef, Ref } from 'vue';

export interface Selection {
  readonly ids: ComputedRef<ReadonlySet<string>>;
  readonly toggle: (id: string) => void;
  /** Everything between where selecting began and here, as the lines stand. */
  readonly extendTo: (id: string, order: readonly string[]) => void;
  readonly all: (order: readonly string[]) => void;
  readonly clear: () => void;
}

/** @param exists lines that are gone are selected no more. */
export function useSelection(exists: (id: string) => boolean): Selection {
  const chosen: Ref<ReadonlySet<string>> = ref(new Set<string>());
  let from: string | null = null;
  const ids = computed(() => new Set([...chosen.value].filter(exists)));
  return {
    ids,
    toggle: (id) => {
      const next = new Set(ids.value);
      if (!next.delete(id)) next.add(id);
      chosen.value = next;
      from = id;
    },
    extendTo: (id, order) => {
      const [a, b] = [order.indexOf(from ?? id), order.indexOf(id)];
      const [first, last] = a < 0 ? [b, b] : [Math.min(a, b), Math.max(a, b)];
      chosen.value = new Set([...ids.value, ...order.slice(first, last + 1)]);
      from ??= id;
    },
    all: (order) => (chosen.value = new Set(order)),
    clear: () => {
      chosen.value = new Set();
      from = null;
    },
  };
}
