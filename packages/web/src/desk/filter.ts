/** Which courses of the desk are shown: by text, term, state and tag. Pure. */
import type { DeskCourse } from '@itinerary/contract';
import type { CourseState } from '@itinerary/core';
import { fold } from '../words/fold.ts';

export interface DeskFilter {
  readonly text: string;
  readonly term: string | null;
  readonly state: CourseState | null;
  readonly tag: string | null;
}

export const NO_FILTER: DeskFilter = { text: '', term: null, state: null, tag: null };

export function filterCourses(courses: readonly DeskCourse[], filter: DeskFilter): readonly DeskCourse[] {
  const words = fold(filter.text).split(/\s+/).filter(Boolean);
  return courses.filter((course) => {
    const text = fold([course.title, course.code, ...course.tags].join(' '));
    return (
      words.every((word) => text.includes(word)) &&
      (filter.term === null || course.term === filter.term) &&
      (filter.state === null || course.state === filter.state) &&
      (filter.tag === null || course.tags.includes(filter.tag))
    );
  });
}

export function isFiltering(filter: DeskFilter): boolean {
  return filter.text.trim() !== '' || filter.term !== null || filter.state !== null || filter.tag !== null;
}
