/** The items that somebody is told of by name: as their own view of the course has them. */
import { isHolderKind } from '@itinerary/core';
import type { CourseView, ItemView } from '@itinerary/core';

export interface NamedItem {
  readonly id: string;
  readonly kind: ItemView['kind'];
  readonly number: string | null;
  readonly title: string;
}

export const named = ({ id, kind, number, title }: ItemView): NamedItem => ({ id, kind, number, title });

/** In reading order, without folders and headings, which are not opened. */
export function itemsOf(view: CourseView): readonly ItemView[] {
  const within = (items: readonly ItemView[]): readonly ItemView[] =>
    items.flatMap((item) =>
      isHolderKind(item.kind) ? within(item.items) : item.kind === 'heading' ? [] : [item],
    );
  return view.around !== null ? [view.around] : view.sections.flatMap(({ items }) => within(items));
}
