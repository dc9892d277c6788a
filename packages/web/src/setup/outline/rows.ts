/** The outline as lines of a timetable. Pure: from the course to what each line shows. */
import { numberNodes, planSections } from '@itinerary/core';
import type { Course, Item, Section, Week } from '@itinerary/core';

interface RowBase {
  readonly id: string;
  readonly number: string | null;
  /** Not shown itself, or in a section that is not. */
  readonly dim: boolean;
}

export type OutlineRow =
  | (RowBase & {
      readonly kind: 'section';
      readonly section: Section;
      readonly days: { readonly first: string; readonly last: string } | null;
      readonly unplaced: boolean;
      readonly minutes: number;
      readonly folded: boolean;
    })
  | (RowBase & { readonly kind: 'item'; readonly item: Item; readonly section: Section })
  | { readonly kind: 'spare'; readonly id: string; readonly week: Week };

/** @param find text that titles must hold, folded to lower case; sections stay when something in them does. */
export function outlineRows(
  course: Course,
  folded: ReadonlySet<string>,
  find: (title: string) => boolean,
  isFinding: boolean,
): readonly OutlineRow[] {
  const plan = planSections(course);
  const spans = new Map(plan.sections.map(({ id, span }) => [id, span]));
  const numbers = numberNodes(course);
  const rows: OutlineRow[] = [];
  for (const section of course.sections) {
    if (section.removed) continue;
    const items = section.items.filter((item) => !item.removed);
    const shown = isFinding ? items.filter((item) => find(item.title)) : items;
    if (isFinding && shown.length === 0 && !find(section.title ?? '')) continue;
    const span = spans.get(section.id);
    const isFolded = folded.has(section.id) && !isFinding;
    rows.push({
      kind: 'section',
      id: section.id,
      section,
      number: numbers.get(section.id) ?? null,
      days: span?.kind === 'week' ? { first: span.week.first, last: span.week.last } : null,
      unplaced: span?.kind === 'unplaced',
      minutes: items.reduce((sum, item) => sum + (item.minutes ?? 0), 0),
      dim: !section.shown,
      folded: isFolded,
    });
    if (isFolded) continue;
    for (const item of shown) {
      rows.push({
        kind: 'item',
        id: item.id,
        item,
        section,
        number: numbers.get(item.id) ?? null,
        dim: !item.shown || !section.shown,
      });
    }
  }
  if (!isFinding)
    rows.push(...plan.spare.map((week): OutlineRow => ({ kind: 'spare', id: `spare-${week.number}`, week })));
  return rows;
}
