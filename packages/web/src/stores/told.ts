/** What somebody must be told about their own changes, until they have seen it. */
import type { Edit, Notice, Refusal } from '@itinerary/core';
import { shallowRef } from 'vue';
import type { ShallowRef } from 'vue';
import { newId } from './new-id.ts';

export type Told = { readonly id: string } & (
  | Notice
  | { readonly kind: 'stale_undo'; readonly refusal: Refusal }
  | { readonly kind: 'problem'; readonly code: string }
  /** `of`: the change, which can be taken back; null: it cannot. */
  | { readonly kind: 'removed'; readonly title: string; readonly of: string | null }
  /** Several at once: pasted titles. */
  | { readonly kind: 'added'; readonly count: number; readonly of: string | null }
  /** What was taken back, or done again: what became of it. */
  | { readonly kind: 'retraced'; readonly way: 'undo' | 'redo'; readonly edits: readonly Edit[] }
  /** Pasted titles that are too long: how many, and the first of them. */
  | { readonly kind: 'long_lines'; readonly count: number; readonly first: string }
);
type Telling = Told extends infer T ? (T extends { id: string } ? Omit<T, 'id'> : never) : never;

export interface Telltale {
  readonly told: ShallowRef<readonly Told[]>;
  readonly tell: (notice: Telling) => void;
  readonly dismiss: (id: string) => void;
  readonly clear: () => void;
}

/** At most so many of what can be read elsewhere too; what holds somebody's words stays until it is put away. */
const MOST_PASSING = 4;

export function useTold(): Telltale {
  const told = shallowRef<readonly Told[]>([]);
  const hasWords = ({ kind }: Told): boolean => kind === 'refused' || kind === 'replaced';

  function tell(notice: Telling): void {
    // Of going to and fro the last step is told.
    const others = told.value.filter(({ kind }) => kind !== 'retraced' || notice.kind !== 'retraced');
    const passing = others.filter((one) => !hasWords(one)).slice(-MOST_PASSING);
    const kept = told.value.filter((one) => hasWords(one) || passing.includes(one));
    told.value = [...kept, { ...notice, id: newId() } as Told];
  }

  return {
    told,
    tell,
    dismiss: (id) => {
      told.value = told.value.filter((one) => one.id !== id);
    },
    clear: () => {
      told.value = [];
    },
  };
}
