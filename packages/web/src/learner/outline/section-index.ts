/** What a section holds, in figures: for the line under its title. */
import { isContentKind, isHolderKind } from '@itinerary/core/kinds';
import type { ItemView, SectionView } from '@itinerary/core';

export interface SectionIndex {
  /** Items to read or do, through folders; headings are none. */
  readonly items: number;
  /** Expected minutes, all in all. */
  readonly minutes: number;
  /** What is due, the earliest first. */
  readonly due: readonly ItemView[];
}

export function readableItems(items: readonly ItemView[]): readonly ItemView[] {
  return items.flatMap((item) => {
    if (isHolderKind(item.kind)) return readableItems(item.items);
    return isContentKind(item.kind) ? [item] : [];
  });
}

export function sectionIndex({ items }: Pick<SectionView, 'items'>): SectionIndex {
  const all = readableItems(items);
  const due = all.filter((item) => item.due !== null);
  return {
    items: all.length,
    minutes: all.reduce((sum, item) => sum + (item.minutes ?? 0), 0),
    due: due.sort((a, b) => ((a.due?.instant ?? '') < (b.due?.instant ?? '') ? -1 : 1)),
  };
}
