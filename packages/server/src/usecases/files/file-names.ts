/** What a course says of its files: names, words for those who do not see them, authors. */
import { filesOf, ownContent, subtree } from '@itinerary/core';
import type { Course, CourseFileRef } from '@itinerary/core';

/** By hash; of a file that is named twice, the words that somebody has written. */
export function filesNamed(course: Course): ReadonlyMap<string, CourseFileRef> {
  const found = new Map<string, CourseFileRef>();
  const add = (file: CourseFileRef): void => {
    const before = found.get(file.hash);
    if (before === undefined || (before.alt === null && file.alt !== null)) found.set(file.hash, file);
  };
  ownContent(course).files.forEach(add);
  for (const node of course.sections.flatMap((section) => subtree(section))) {
    filesOf(node).forEach(add);
  }
  return found;
}
