/** What the links of a text can lead to for one person: every item of the view, by id. */
import { isReadable } from '../access/answer.ts';
import type { CourseView, ItemView } from '../views/course-view.ts';
import { isContentKind } from '../course/schema/kinds.ts';

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
      const isPage = isContentKind(kind);
      found.set(id, { number, title, opens: isPage && isReadable(state) });
      add(held);
    }
  };
  if (view.around === null) view.sections.forEach(({ items }) => add(items));
  else add([view.around]);
  return found;
}
