/** Taking back what one has done, and doing it again: the last of it, or what a notice is about. */
import { forgetUndo, redoLast, undoLast } from '@itinerary/core';
import type { WorkingCopy } from '@itinerary/core';
import { computed } from 'vue';
import type { ComputedRef, ShallowRef } from 'vue';
import { newId } from './new-id.ts';
import type { Telltale } from './told.ts';

interface Retracing {
  readonly copy: ShallowRef<WorkingCopy | null>;
  readonly send: () => void;
  readonly telltale: Telltale;
}

/** What was taken back is read in passing; it stands in the course as well. */
const STAYS_MS = 8000;

export interface Retraced {
  readonly canUndo: ComputedRef<boolean>;
  readonly canRedo: ComputedRef<boolean>;
  /** What would be taken back next; null: nothing. */
  readonly lastStep: ComputedRef<string | null>;
  readonly undo: () => void;
  readonly redo: () => void;
  /** What was said of the last step has passed: something else was done. */
  readonly pass: () => void;
  /** That change and no other, whatever was done since. */
  readonly undoThat: (of: string) => void;
}

export function useRetrace({ copy, send, telltale }: Retracing): Retraced {
  const { told, tell, dismiss } = telltale;
  let passing: ReturnType<typeof setTimeout> | undefined;
  const pass = (): void => {
    clearTimeout(passing);
    for (const { kind, id } of told.value) if (kind === 'retraced') dismiss(id);
  };

  function retrace(way: 'undo' | 'redo', of?: string): void {
    if (copy.value === null) return;
    const step = of ?? copy.value[way].at(-1)?.of;
    const attempt = way === 'undo' ? undoLast(copy.value, newId(), of) : redoLast(copy.value, newId());
    if (attempt === null) return;
    if (!attempt.ok) {
      copy.value = forgetUndo(copy.value, way, of);
      tell({ kind: 'stale_undo', refusal: attempt.refusal });
      return;
    }
    copy.value = attempt.copy;
    send();
    // Whoever offered to take it back has nothing to offer any more.
    for (const one of told.value) if ('of' in one && one.of === step) dismiss(one.id);
    tell({ kind: 'retraced', way, edits: attempt.copy.pending.at(-1)?.edits ?? [] });
    clearTimeout(passing);
    passing = setTimeout(pass, STAYS_MS);
  }

  return {
    canUndo: computed(() => (copy.value?.undo.length ?? 0) > 0),
    canRedo: computed(() => (copy.value?.redo.length ?? 0) > 0),
    lastStep: computed(() => copy.value?.undo.at(-1)?.of ?? null),
    undo: () => retrace('undo'),
    redo: () => retrace('redo'),
    undoThat: (of) => retrace('undo', of),
    pass,
  };
}
