import type { CourseView, ItemView } from '@itinerary/core';

/** The item to go on with: where one left off, else the first of the section that is on, else the first. */
export function itemToCarryOn(course: CourseView, last: string | null): ItemView | null {
  const pages = course.sections.flatMap((section) => section.items).filter(({ kind }) => kind === 'page');
  const current = course.sections.find((section) => section.current);
  return (
    pages.find(({ id }) => id === last) ??
    current?.items.find(({ kind }) => kind === 'page') ??
    pages[0] ??
    null
  );
}
