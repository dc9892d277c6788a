/**
 * The menu as one person gets it at one moment, and of each entry why it is not there (docs/semantics.md, Menu).
 * It reads `resolveAccess`, and leads to nothing that this person may not open.
 */
import { canSee, isReadable, isThere } from '../access/answer.ts';
import type { Answer } from '../access/answer.ts';
import { ownPlan, resolveAccess } from '../access/resolve.ts';
import type { Access } from '../access/resolve.ts';
import { mayPlan } from '../access/roles.ts';
import type { Viewer } from '../access/roles.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import type { Item } from '../course/schema/items-schema.ts';
import type { Area, MenuEntry } from '../course/schema/menu-schema.ts';
import type { Course, CourseNode } from '../course/schema/schema.ts';
import { allLivingItems, findNode, livingSections } from '../course/tree.ts';
import { announcementsAt, nextAnnouncementAt } from '../messages/announcements.ts';
import { contactsOf } from '../messages/contacts.ts';
import type { InstitutionPage } from './institution.ts';
import type { StaffProfile } from '../views/messages-view.ts';
import { isContent } from '../course/schema/items-schema.ts';
import { isInArea, traitsOf } from '../course/schema/kinds.ts';

/** What a course's pages need besides the course. */
export interface FaceFacts {
  readonly pages: readonly InstitutionPage[];
  readonly staff: readonly StaffProfile[];
}

export const NO_FACE_FACTS: FaceFacts = { pages: [], staff: [] };

export type MenuReason =
  | { readonly kind: 'removed' }
  /** The entry is switched off. */
  | { readonly kind: 'not_shown' }
  | { readonly kind: 'staff_only' }
  /** They get nothing of the course, or its name only. */
  | { readonly kind: 'course_closed' }
  | { readonly kind: 'area_off' }
  /** There is nothing in it yet. */
  | { readonly kind: 'empty' }
  /** All that is in it is still closed; `opensAt` in milliseconds, where time alone opens it. */
  | { readonly kind: 'closed'; readonly opensAt: number | null }
  /** What it leads to has been removed. */
  | { readonly kind: 'gone' }
  /** What it leads to is not shown, or is for others. */
  | { readonly kind: 'not_theirs' }
  /** A group or divider with nothing to stand above. */
  | { readonly kind: 'nothing_below' };

export interface MenuAnswer {
  readonly id: string;
  readonly entry: MenuEntry;
  /** Null: they see it. */
  readonly unseen: MenuReason | null;
}

interface Reading {
  readonly course: Course;
  readonly plan: CoursePlan;
  readonly access: Access;
  readonly viewer: Viewer;
  readonly at: number;
  readonly facts: FaceFacts;
}

/** The entries in their order, the removed ones too. */
export function menuEntries({ menu }: Pick<Course, 'menu'>): readonly (readonly [string, MenuEntry])[] {
  return Object.entries(menu).sort(([one, a], [other, b]) => a.at - b.at || (one < other ? -1 : 1));
}

/**
 * @param moment the instant asked about (ISO, UTC).
 * @param hint a plan of this course; taken where it is this person's.
 */
export function resolveMenu(
  course: Course,
  viewer: Viewer,
  moment: string,
  facts: FaceFacts,
  hint: CoursePlan | null = null,
): readonly MenuAnswer[] {
  const at = Date.parse(moment);
  const plan = ownPlan(course, viewer, at, hint);
  const access = resolveAccess(course, viewer, moment, plan);
  const reading = { course, plan, access, viewer, at, facts };
  const answers = menuEntries(course).map(([id, entry]): MenuAnswer => ({
    id,
    entry,
    unseen: unseen(entry, reading),
  }));
  return answers.map((answer, index) =>
    stands(answers, index) ? answer : { ...answer, unseen: NOTHING_BELOW },
  );
}

const NOTHING_BELOW: MenuReason = { kind: 'nothing_below' };

function isHead({ leads }: MenuEntry): boolean {
  return leads.to === 'group' || leads.to === 'divider';
}

/** A group stands where something seen follows before the next group; a divider before the next of either. */
function stands(answers: readonly MenuAnswer[], index: number): boolean {
  const { entry, unseen: own } = answers[index] as MenuAnswer;
  if (own !== null || !isHead(entry)) return true;
  for (const next of answers.slice(index + 1)) {
    if (next.unseen !== null) continue;
    if (next.entry.leads.to === 'group') return false;
    if (next.entry.leads.to === 'divider') {
      if (entry.leads.to === 'divider') return false;
      continue;
    }
    return true;
  }
  return false;
}

function unseen(entry: MenuEntry, reading: Reading): MenuReason | null {
  if (entry.removed) return { kind: 'removed' };
  if (!entry.shown) return { kind: 'not_shown' };
  if (entry.staffOnly && !mayPlan(reading.viewer)) return { kind: 'staff_only' };
  if (!isReadable(reading.access.course.state)) return { kind: 'course_closed' };
  const { leads } = entry;
  switch (leads.to) {
    case 'area':
      return areaUnseen(leads.area, reading);
    case 'item':
      return itemUnseen(leads.item, reading);
    case 'institution':
      return reading.facts.pages.some(({ id }) => id === leads.page) ? null : { kind: 'gone' };
    case 'address':
    case 'divider':
    case 'group':
      return null;
  }
}

/** Whether an area can be had by its address: switched on, with something in it. */
export function areaOpen(
  course: Course,
  viewer: Viewer,
  moment: string,
  area: Area,
  facts: FaceFacts,
  hint: CoursePlan | null = null,
): boolean {
  const at = Date.parse(moment);
  const plan = ownPlan(course, viewer, at, hint);
  const access = resolveAccess(course, viewer, moment, plan);
  if (!isReadable(access.course.state)) return false;
  return areaUnseen(area, { course, plan, access, viewer, at, facts }) === null;
}

function areaUnseen(area: Area, reading: Reading): MenuReason | null {
  const { course, plan, viewer, at, facts } = reading;
  if (course.areas[area] === 'off') return { kind: 'area_off' };
  switch (area) {
    case 'home':
      return null;
    case 'sections':
    case 'guide':
      return outlineUnseen(reading);
    case 'announcements': {
      if (announcementsAt(plan, at).length > 0) return null;
      const next = nextAnnouncementAt(plan, at);
      return next === null ? { kind: 'empty' } : { kind: 'closed', opensAt: next };
    }
    case 'assignments':
    case 'quizzes':
    case 'discussions':
    case 'meetings':
    case 'files':
      return collectedUnseen(area, reading);
    case 'members':
      return viewer.role === 'learner' || mayPlan(viewer) ? null : { kind: 'not_theirs' };
    case 'contact':
      return contactsOf(course, facts.staff).length > 0 ? null : { kind: 'empty' };
    case 'syllabus':
      return hasSyllabus(course) ? null : { kind: 'empty' };
  }
}

function hasSyllabus({ description, outcomes, madeFor, bringAlong }: Course): boolean {
  return description !== null || madeFor !== null || bringAlong !== null || Object.keys(outcomes).length > 0;
}

function outlineUnseen({ plan, access }: Reading): MenuReason | null {
  const { dates } = plan.course;
  if (dates.format === 'item') {
    const node = dates.around === null ? undefined : findNode(plan.course, dates.around)?.node;
    const answer = node === undefined || !isListed(node) ? undefined : access.nodes.get(node.id);
    return inOutline(answer) ? null : shutBy([answer]);
  }
  const answers = livingSections(plan.course).map(({ id }) => access.nodes.get(id));
  return answers.some(isThere) ? null : shutBy(answers);
}

function collectedUnseen(area: Area, { plan, access }: Reading): MenuReason | null {
  const { format, around } = plan.course.dates;
  const items = livingSections(plan.course)
    .flatMap((section) => allLivingItems(section))
    .filter((item) => isInArea(area, item) && isListed(item))
    // Around one item there is nothing beside it, for staff as little as for learners.
    .filter(({ id }) => format !== 'item' || id === around);
  const answers = items.map(({ id }) => access.nodes.get(id));
  return answers.some(inOutline) ? null : shutBy(answers);
}

function isListed(node: CourseNode): boolean {
  return !('listed' in node) || node.listed;
}

/** In an area stands what stands in the outline: a sample that somebody may read besides does not. */
function inOutline(answer: Answer | undefined): boolean {
  return canSee(answer) && answer?.because !== 'sample';
}

/** Closed when something waits there, empty when nothing does. */
function shutBy(answers: readonly (Answer | undefined)[]): MenuReason {
  const waiting = answers.filter(
    (answer) =>
      answer?.because === 'not_yet' || answer?.because === 'waiting' || answer?.because === 'before_dates',
  );
  if (waiting.length === 0) return { kind: 'empty' };
  const instants = waiting.flatMap((answer) => (answer?.opensAt === undefined ? [] : [answer.opensAt]));
  return { kind: 'closed', opensAt: instants.length === 0 ? null : Math.min(...instants) };
}

function itemUnseen(id: string, { plan, access }: Reading): MenuReason | null {
  const place = findNode(plan.course, id);
  const answer = access.nodes.get(id);
  if (place === null || answer === undefined || answer.because === 'removed') return { kind: 'gone' };
  if (!isContent(place.node)) {
    return { kind: 'gone' };
  }
  if (!canSee(answer)) {
    const isWaiting = answer.because === 'not_yet' || answer.because === 'waiting';
    return isWaiting ? { kind: 'closed', opensAt: answer.opensAt ?? null } : { kind: 'not_theirs' };
  }
  return isEmptyPage(place.node) ? { kind: 'empty' } : null;
}

/** A page without a word on it. */
export function isEmptyPage(item: Pick<Item, 'kind'> & { readonly text?: string | null }): boolean {
  return traitsOf(item).isText && item.text === null;
}
