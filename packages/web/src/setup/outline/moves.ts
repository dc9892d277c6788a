/** Where a node goes when it is moved by one place, or dropped on another. Pure: course to edit. */
import { livingItems, livingSections } from '@itinerary/core';
import type { Course, MoveEdit, Section } from '@itinerary/core';

const move = (target: string, parent: string, after: string | null): MoveEdit => ({
  kind: 'move',
  target,
  parent,
  after,
});

function sectionOf(course: Course, item: string): Section | undefined {
  return livingSections(course).find((section) => section.items.some(({ id }) => id === item));
}

/** Up or down by one; an item at the end of its section goes on into the next one. Null: there is no further. */
export function moveByOne(course: Course, id: string, way: 'up' | 'down'): MoveEdit | null {
  const sections = livingSections(course);
  const at = sections.findIndex((section) => section.id === id);
  if (at >= 0) {
    if (way === 'up') return at === 0 ? null : move(id, course.id, sections[at - 2]?.id ?? null);
    const below = sections[at + 1];
    return below === undefined ? null : move(id, course.id, below.id);
  }
  const section = sectionOf(course, id);
  if (section === undefined) return null;
  const items = livingItems(section);
  const index = items.findIndex((item) => item.id === id);
  const here = sections.indexOf(section);
  if (way === 'up') {
    if (index > 0) return move(id, section.id, items[index - 2]?.id ?? null);
    const above = sections[here - 1];
    return above === undefined ? null : move(id, above.id, livingItems(above).at(-1)?.id ?? null);
  }
  const next = items[index + 1];
  if (next !== undefined) return move(id, section.id, next.id);
  const below = sections[here + 1];
  return below === undefined ? null : move(id, below.id, null);
}

export interface Drop {
  readonly on: string;
  readonly edge: 'top' | 'bottom';
}

/** What dropping `id` on another line does; null when it stays where it is or does not belong there. */
export function moveByDrop(course: Course, id: string, { on, edge }: Drop): MoveEdit | null {
  if (id === on) return null;
  const sections = livingSections(course);
  const dragged = sections.findIndex((section) => section.id === id);
  const over = sections.findIndex((section) => section.id === on);
  const holder = over >= 0 ? undefined : sectionOf(course, on);
  if (dragged >= 0) {
    // A section dropped on an item goes after the section that holds it.
    const target = over >= 0 ? over : holder === undefined ? -1 : sections.indexOf(holder);
    if (target < 0 || target === dragged) return null;
    const after = over >= 0 && edge === 'top' ? sections[target - 1] : sections[target];
    return after?.id === id ? null : move(id, course.id, after?.id ?? null);
  }
  if (over >= 0) {
    const section = sections[over] as Section;
    if (edge === 'bottom') return move(id, section.id, null);
    const above = sections[over - 1];
    return above === undefined
      ? null
      : move(
          id,
          above.id,
          livingItems(above)
            .filter((item) => item.id !== id)
            .at(-1)?.id ?? null,
        );
  }
  if (holder === undefined) return null;
  const others = livingItems(holder).filter((item) => item.id !== id);
  const at = others.findIndex((item) => item.id === on);
  return move(id, holder.id, edge === 'bottom' ? on : (others[at - 1]?.id ?? null));
}
