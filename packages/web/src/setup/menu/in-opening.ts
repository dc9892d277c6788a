/** Where something goes that belongs to the whole course: the opening unit, before everything else; made where there is none. */
import { livingSections, newSection } from '@itinerary/core';
import type { Course, Edit, Leaf } from '@itinerary/core';
import { newId } from '../../stores/new-id.ts';

/** @param title of the unit, where it has to be made */
export function inOpening(course: Course, node: Leaf, title: string): Edit {
  const [first] = livingSections(course);
  if (first?.outside === true) return { kind: 'insert', parent: first.id, after: null, node };
  const section = newSection({ id: newId(), title, outside: true, items: [node] });
  return { kind: 'insert', parent: course.id, after: null, node: section };
}
