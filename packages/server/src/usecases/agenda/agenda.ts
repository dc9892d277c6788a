/** One person's calendar over all their courses: each as they get it. */
import type { AgendaAnswer } from '@itinerary/contract';
import { agendaOf, courseView, inOrder, byName } from '@itinerary/core';
import type { AgendaEntry, Course } from '@itinerary/core';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { coursesAndViewers } from '../access/viewer.ts';

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
  const theirs = await coursesAndViewers(em, person, now, ({ state }) => state !== 'archived');
  return theirs.flatMap(({ course, viewer }): Found[] => {
    const view = courseView(course, viewer, now);
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
      .sort((a, b) => byName(a.title, b.title) || byName(a.code, b.code)),
  };
}
