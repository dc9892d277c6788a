/** The course in which whoever has done another can go on: told where it is one that they find. */
import { isThere, resolveAccess } from '@itinerary/core';
import type { FinishedView, HomeView } from '@itinerary/core';
import type { Person } from '../../db/entities.ts';
import { coursesWhere } from '../../db/kept-courses.ts';
import type { EntityManager } from '../../db/orm.ts';
import { viewerOf } from '../access/viewer.ts';

type GoOn = FinishedView['goOn'];

export async function goOnFor(
  em: EntityManager,
  person: Person | null,
  named: GoOn,
  now: string,
): Promise<GoOn> {
  if (named === null || person === null) return null;
  const [course] = await coursesWhere(em, { id: named.course, institutionId: person.institutionId });
  if (course === undefined) return null;
  const viewer = await viewerOf(em, person, course, now);
  return isThere(resolveAccess(course, viewer, now).course) ? { ...named, title: course.title } : null;
}

/** The home page as this person is told it. */
export async function homeTold(
  em: EntityManager,
  person: Person | null,
  home: HomeView,
  now: string,
): Promise<HomeView> {
  const panels = home.panels.map(async (panel) => {
    if (panel.kind !== 'progress') return panel;
    const goOn = await goOnFor(em, person, panel.finished.goOn, now);
    return { ...panel, finished: { ...panel.finished, goOn } };
  });
  return { ...home, panels: await Promise.all(panels) };
}
