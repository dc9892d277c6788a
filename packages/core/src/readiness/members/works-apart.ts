/** Whether groups work apart anywhere in a course. */
import { allLivingItems, livingSections } from '../../course/tree.ts';
import type { Course } from '../../course/schema/schema.ts';

export const worksApart = (course: Course): boolean =>
  course.groupWork === 'apart' ||
  livingSections(course)
    .flatMap(allLivingItems)
    .some((item) => 'groupWork' in item && item.groupWork === 'apart');
