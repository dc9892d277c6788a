/** What a line of the outline, and the table around it, can have done: the stop provides it, and they call it. */
import { inject } from 'vue';
import type { InjectionKey } from 'vue';
import type { ItemRow, SectionRow } from '../table/rows.ts';
import type { Drop } from './moves.ts';

export type NodeLine = SectionRow | ItemRow;

export interface OutlineActs {
  readonly title: (row: NodeLine, title: string) => void;
  /** Pasted into the title: the first one replaces it, or all stand after it. */
  readonly lines: (row: NodeLine, titles: readonly string[], replacing: boolean) => void;
  readonly minutes: (row: ItemRow, minutes: number | null) => void;
  readonly shown: (row: NodeLine, shown: boolean) => void;
  readonly remove: (row: NodeLine) => void;
  readonly open: (row: NodeLine) => void;
  readonly add: (row: NodeLine) => void;
  readonly fold: (id: string) => void;
  readonly select: (id: string, extend: boolean) => void;
  readonly selectAll: () => void;
  readonly moment: (row: NodeLine, field: 'due' | 'held' | 'opens') => void;
  readonly drop: (dragged: string, drop: Drop) => void;
  /** Alt and an arrow: the line, or all that are selected, by one. */
  readonly step: (id: string, way: 'up' | 'down', cell: string) => void;
  readonly focused: (id: string) => void;
}

export const OUTLINE_ACTS: InjectionKey<OutlineActs> = Symbol('outline acts');

export function useOutlineActs(): OutlineActs {
  const acts = inject(OUTLINE_ACTS);
  if (acts === undefined) throw new Error('used outside the outline');
  return acts;
}
