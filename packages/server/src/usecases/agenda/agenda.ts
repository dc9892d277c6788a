/** One person's calendar over all their courses: each as they get it. */
import type { AgendaAnswer } from '@itinerary/contract';
import { agendaOf, courseView, inOrder } from '@itinerary/core';
import type { AgendaEntry, Course } from '@itinerary/core';
import { MemberRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import { coursesWhere } from '../../db/kept-courses.ts';
import type { EntityManager } from '../../db/orm.ts';
import { viewersOf } from '../access/viewer.ts';

interface Found {
  readonly course: Course;
  readonly entries: readonly AgendaEntry[];
}

/** Of courses that they are in; a draft is for those who plan it. @param from days of each course's own zone, both included */
export async function agendasOf(
  em: EntityManager,
  person: Person,
  { from, to }: { readonly from: string; readonly to: string },
  now: string,
): Promise<readonly Found[]> {
  const own = await em.find(MemberRow, { personId: person.id, leftAt: null });
  const courses = await coursesWhere(em, { id: { $in: own.map(({ courseId }) => courseId) } });
  const viewerOf = await viewersOf(em, person, courses, now);
  return courses.flatMap((course): Found[] => {
    const view = course.state === 'archived' ? null : courseView(course, viewerOf(course.id), now);
    return view === null ? [] : [{ course, entries: agendaOf(view, from, to) }];
  });
}

export async function agenda(
  em: EntityManager,
  person: Person,
  days: { readonly from: string; readonly to: string },
  now: string,
): Promise<AgendaAnswer> {
  const found = await agendasOf(em, person, days, now);
  return {
    things: found
      .flatMap(({ course, entries }) => entries.map((entry) => ({ ...entry, course: course.id })))
      .sort(inOrder),
    courses: found
      .map(({ course: { id, title, code, dates, look } }) => ({
        ...{ id, title, code, zone: dates.zone, seed: look.seed },
      }))
      .sort((a, b) => a.title.localeCompare(b.title) || a.code.localeCompare(b.code)),
  };
}
