import type { DeskCourse } from '@itinerary/contract';

const DAY_MS = 24 * 60 * 60 * 1000;

/** The course whose first day is the nearest ahead, and in how many days that is. */
export function nextToStart(
  courses: readonly DeskCourse[],
  today: string,
): { readonly course: DeskCourse; readonly days: number } | null {
  const ahead = courses.filter(
    ({ firstDay, state }) => firstDay !== null && firstDay > today && state !== 'archived',
  );
  const [course] = [...ahead].sort((a, b) => (String(a.firstDay) < String(b.firstDay) ? -1 : 1));
  if (course?.firstDay == null) return null;
  return { course, days: Math.round((Date.parse(course.firstDay) - Date.parse(today)) / DAY_MS) };
}
