/**
 * Numbers: sections 1, 2, …; items 2.1, 2.2, … in reading order (docs/semantics.md, Numbering).
 * What is not shown, removed, or outside the calendar takes no number, nor does anything below it.
 */
import type { Course } from './schema.ts';

/** From node id to its number as written: "2" or "2.3". Nodes without a number are not in the map. */
export function numberNodes(course: Course): ReadonlyMap<string, string> {
  const numbers = new Map<string, string>();
  let count = 0;
  for (const section of course.sections) {
    if (section.removed || !section.shown || section.outside) continue;
    count += 1;
    numbers.set(section.id, String(count));
    let at = 0;
    for (const item of section.items) {
      if (item.removed || !item.shown) continue;
      at += 1;
      numbers.set(item.id, `${count}.${at}`);
    }
  }
  return numbers;
}
