/** What somebody reading a course gets. Everything in it comes from core's one answer about access. */
import type { Neighbour, ReadCourseAnswer, ReadItemAnswer } from '@itinerary/contract';
import {
  arrivalAt,
  canSee,
  courseView,
  findNode,
  homeView,
  isContentKind,
  isHolderKind,
  isReadable,
  mayPlan,
  ownCourse,
  pacingCsv,
  resolveAccess,
  unlistedItem,
  byName,
} from '@itinerary/core';
import type { Course, CourseView, HomeView, ItemView, SectionView, Viewer } from '@itinerary/core';
import type { Around } from '../../db/coming.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { nothingHere } from '../nothing-here.ts';
import { groupOf } from '../members/classmates.ts';
import { mayChangePage } from './page-words.ts';
import { textReader } from '../plan/texts.ts';
import { homeTold } from '../progress/go-on.ts';
import type { TextReader } from '../plan/texts.ts';
import { faceFacts } from './face.ts';
import { noteVisit, visitOf } from './visits.ts';

/** @throws Failure `not_found` where the course is absent for them */
export function viewOf(course: Course, viewer: Viewer, now: string): CourseView {
  const view = courseView(course, viewer, now);
  if (view === null) throw nothingHere();
  return view;
}

/** Somebody who reads, and what came with the question who they are. */
export interface Reader {
  readonly viewer: Viewer;
  readonly person: Person | null;
  readonly around: Around;
}

export async function readCourse(
  em: EntityManager,
  course: Course,
  { viewer, person, around, arrives }: Reader & { readonly arrives: boolean },
  now: string,
): Promise<ReadCourseAnswer> {
  const facts = faceFacts(around);
  const view = viewOf(course, viewer, now);
  const texts = textReader(em, view);
  const own = ownCourse(course, viewer, Date.parse(now));
  const home = await homeTold(em, person, homeView(course, viewer, now, view, facts), now);
  const member = viewer.role === null ? null : (person?.id ?? null);
  const visit = visitOf(viewer, around, now);
  const arrival = arrivalAt(course, viewer, now, visit, facts);
  if (member !== null && isReadable(view.access)) {
    await noteVisit(em, course.id, member, around.visit, now, arrives ? { arrives } : {});
  }
  const [said, descriptionHtml, introductionHtml, aroundHtml] = await Promise.all([
    homeTexts(home, texts),
    texts.read(view.description, null),
    texts.read(view.introduction, null),
    view.around === null ? null : texts.read(itemText(own, view.around.id), view.around.id),
  ]);
  return {
    home,
    texts: said,
    arrival,
    last: stillOpen(course, viewer, visit.last, now),
    course: view,
    descriptionHtml,
    introductionHtml,
    aroundHtml,
    staff: facts.staff
      .filter(({ role }) => role === 'instructor')
      .map(({ name }) => name)
      .sort((a, b) => byName(a, b)),
    mayPlan: mayPlan(viewer),
    isMember: viewer.role === 'learner' || mayPlan(viewer),
    showsLog: viewer.role === 'learner' && course.ownLog,
  };
}

/** An item that has been taken out of sight since is not told of, not even by its id. */
function stillOpen(course: Course, viewer: Viewer, last: string | null, now: string): string | null {
  return last !== null && canSee(resolveAccess(course, viewer, now).nodes.get(last)) ? last : null;
}

/** What its panels say, by hash. */
async function homeTexts(home: HomeView, texts: TextReader): Promise<Readonly<Record<string, string>>> {
  const hashes = home.panels.flatMap((panel) => {
    if (panel.kind === 'welcome') return [panel.text];
    return panel.kind === 'announcements' ? panel.announcements.map(({ text }) => text) : [];
  });
  const read = await Promise.all(
    hashes
      .filter((hash) => hash !== null)
      .map(async (hash) => [hash, (await texts.read(hash, null)) ?? ''] as const),
  );
  return Object.fromEntries(read);
}

export function readGuide(course: Course, viewer: Viewer, now: string): string {
  return pacingCsv(viewOf(course, viewer, now));
}

export async function readItem(
  em: EntityManager,
  course: Course,
  viewer: Viewer,
  itemId: string,
  now: string,
): Promise<ReadItemAnswer> {
  const view = viewOf(course, viewer, now);
  const readable = readableItems(view);
  const at = readable.findIndex(({ item }) => item.id === itemId);
  const here = readable[at] ?? alone(course, viewer, itemId, now);
  if (here === null) throw nothingHere();
  // What is held is read as learners get it.
  const own = ownCourse(course, viewer, Date.parse(now));
  return {
    course: { id: view.id, title: view.title, code: view.code, zone: view.zone },
    section: here.section === null ? null : withoutItems(here.section),
    item: here.item,
    html: await textReader(em, view).read(itemText(own, itemId), itemId),
    group: await groupOf(em, own, viewer, itemId),
    mayChange: mayChangePage(course, viewer, itemId, now),
    previous: neighbour(readable[at - 1]),
    next: at < 0 ? null : neighbour(readable[at + 1]),
  };
}

/** What stands in no list: samples, and items that are there for their address alone. */
function alone(course: Course, viewer: Viewer, itemId: string, now: string): Readable | null {
  const item = unlistedItem(course, viewer, now, itemId);
  return item === null || !isContentKind(item.kind) ? null : { section: null, item };
}

function withoutItems({ items: _items, ...section }: SectionView): Omit<SectionView, 'items'> {
  void _items;
  return section;
}

interface Readable {
  /** Null around one item. */
  readonly section: SectionView | null;
  readonly item: ItemView;
}

/** What opens as a page of its own, in reading order: headings and folders do not. */
function readableItems(view: CourseView): readonly Readable[] {
  if (view.around !== null) return [{ section: null, item: view.around }];
  const within = (section: SectionView, items: readonly ItemView[]): readonly Readable[] =>
    items.flatMap((item) => {
      if (isHolderKind(item.kind)) return within(section, item.items);
      return isContentKind(item.kind) && isReadable(item.state) ? [{ section, item }] : [];
    });
  return view.sections.flatMap((section) => within(section, section.items));
}

function neighbour(place: Readable | undefined): Neighbour | null {
  return place === undefined
    ? null
    : { id: place.item.id, title: place.item.title, number: place.item.number };
}

export function itemText(course: Course, itemId: string): string | null {
  const node = findNode(course, itemId)?.node;
  return node !== undefined && 'text' in node ? node.text : null;
}
