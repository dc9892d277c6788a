import { traitsOf } from '@itinerary/core/kinds';
import type { CourseView, ItemView } from '@itinerary/core';
import { readableItems } from '../outline/section-index.ts';

/** Links lead out, and a name opens nothing: one goes on with what opens here. */
function opensHere({ kind, state }: ItemView): boolean {
  return traitsOf({ kind }).address !== 'out' && (state === 'look' || state === 'open');
}

/** The item to go on with: where one left off, else the first of the section that is on, else the first. */
export function itemToCarryOn(course: CourseView, last: string | null): ItemView | null {
  const items = course.sections.flatMap((section) => readableItems(section.items)).filter(opensHere);
  const current = course.sections.find((section) => section.current);
  const here = current === undefined ? undefined : readableItems(current.items).find(opensHere);
  return items.find(({ id }) => id === last) ?? here ?? items[0] ?? null;
}
