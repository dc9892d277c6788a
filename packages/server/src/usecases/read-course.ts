/** What somebody reading a course gets. Everything in it comes from core's one answer about access. */
import type { Neighbour, ReadCourseAnswer, ReadItemAnswer } from '@itinerary/contract';
import { canSee, courseView, mayPlan } from '@itinerary/core';
import type { Course, CourseView, ItemView, SectionView, Viewer } from '@itinerary/core';
import { MemberRow, PersonRow, TextRow } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';
import { Failure } from './failure.ts';

function viewOf(course: Course, viewer: Viewer, now: string): CourseView {
  const view = courseView(course, viewer, now);
  if (view === null) throw nothingHere();
  return view;
}

export function nothingHere(): Failure {
  return new Failure('not_found', 'There is nothing here, or nothing that you may see');
}

async function textOf(em: EntityManager, courseId: string, hash: string | null): Promise<string | null> {
  if (hash === null) return null;
  return (await em.findOne(TextRow, { courseId, hash }))?.html ?? null;
}

export async function readCourse(
  em: EntityManager,
  course: Course,
  viewer: Viewer,
  now: string,
): Promise<ReadCourseAnswer> {
  const view = viewOf(course, viewer, now);
  const teaching = await em.find(MemberRow, { courseId: course.id, role: 'instructor', leftAt: null });
  const people = await em.find(PersonRow, { id: { $in: teaching.map(({ personId }) => personId) } });
  return {
    course: view,
    descriptionHtml: await textOf(em, course.id, view.description),
    staff: people.map(({ name }) => name).sort((a, b) => a.localeCompare(b)),
    mayPlan: mayPlan(viewer),
  };
}

export async function readItem(
  em: EntityManager,
  course: Course,
  viewer: Viewer,
  itemId: string,
  now: string,
): Promise<ReadItemAnswer> {
  const view = viewOf(course, viewer, now);
  const readable = view.sections.flatMap((section) =>
    section.items.filter((item) => canSeeItem(item)).map((item) => ({ section, item })),
  );
  const at = readable.findIndex(({ item }) => item.id === itemId);
  const here = readable[at];
  if (here === undefined) throw nothingHere();
  const { items: _items, ...section } = here.section;
  void _items;
  return {
    course: { id: view.id, title: view.title, code: view.code },
    section,
    item: here.item,
    html: await textOf(em, course.id, pageText(course, itemId)),
    previous: neighbour(readable[at - 1]),
    next: neighbour(readable[at + 1]),
  };
}

function canSeeItem(item: ItemView): boolean {
  return canSee({ state: item.state, because: 'member' });
}

function neighbour(
  place: { readonly section: SectionView; readonly item: ItemView } | undefined,
): Neighbour | null {
  return place === undefined
    ? null
    : { id: place.item.id, title: place.item.title, number: place.item.number };
}

function pageText(course: Course, itemId: string): string | null {
  for (const section of course.sections) {
    for (const item of section.items) if (item.id === itemId) return item.kind === 'page' ? item.text : null;
  }
  return null;
}
