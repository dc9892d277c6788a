/** The columns of the outline: which are shown is kept on one's own device. */
import { ref, watch } from 'vue';
import type { Ref } from 'vue';

export const COLUMNS = ['when', 'opens', 'minutes', 'shown'] as const;
export type Column = (typeof COLUMNS)[number];

const KEY = 'itinerary.outline.columns';
const WIDTHS: Readonly<Record<Column, string>> = {
  when: '172px',
  opens: '152px',
  minutes: '76px',
  shown: '48px',
};

export function useColumns(): Ref<readonly Column[]> {
  const stored = localStorage.getItem(KEY);
  const columns = ref<readonly Column[]>(
    stored === null ? COLUMNS : COLUMNS.filter((column) => stored.split(' ').includes(column)),
  );
  watch(columns, (now) => localStorage.setItem(KEY, now.join(' ')));
  return columns;
}

/** Select and drag, number, title, the chosen ones, acts. */
export function gridTemplate(columns: readonly Column[]): string {
  const chosen = COLUMNS.filter((column) => columns.includes(column)).map((column) => WIDTHS[column]);
  return ['46px', '48px', 'minmax(200px, 1fr)', ...chosen, '36px'].join(' ');
}
