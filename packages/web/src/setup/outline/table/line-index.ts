/** Where a line stands among all lines of the outline, from 0: the table says it, and its lines ask. */
import { inject } from 'vue';
import type { InjectionKey } from 'vue';

export const LINE_INDEX: InjectionKey<(id: string) => number> = Symbol('line index');

export function useLineIndex(): (id: string) => number {
  const indexOf = inject(LINE_INDEX);
  if (indexOf === undefined) throw new Error('used outside the outline');
  return indexOf;
}
