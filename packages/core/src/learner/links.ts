/** What the links of a text can lead to for one person: every item of the view, by id. */
import type { CourseView, ItemView } from './view.ts';
import { isReadable } from '../access/answer.ts';

export interface LinkedItem {
  readonly number: string | null;
  readonly title: string;
  /** It opens as a page of its own, now: it is no heading, no folder, and not only named. */
  readonly opens: boolean;
}

export function linkTargets(view: CourseView): ReadonlyMap<string, LinkedItem> {
  const found = new Map<string, LinkedItem>();
  const add = (items: readonly ItemView[]): void => {
    for (const { id, kind, number, title, state, items: held } of items) {
      const isPage = kind !== 'heading' && kind !== 'folder';
      found.set(id, { number, title, opens: isPage && isReadable(state) });
      add(held);
    }
  };
  if (view.around === null) view.sections.forEach(({ items }) => add(items));
  else add([view.around]);
  return found;
}
