/**
 * Who sees what, and which layer decided (docs/semantics.md, Access). Nothing else in Itinerary decides it.
 *
 * Each layer caps the state; the answer is the lowest cap, and the layer that decided is the first, in the
 * order of the layers, with that cap. The layers so far: the course's state, membership, the course's dates, what
 * is shown (around one item, nothing but that item is), and the moment from which on something is open.
 */
import type { CoursePlan, SectionPlan } from '../calendar/course-plan.ts';
import type { Item } from '../course/items-schema.ts';
import type { Course, CourseNode, Outside } from '../course/schema.ts';
import type { Viewer } from './roles.ts';
import { planFor } from './plan-for.ts';
import { mayPlan } from './roles.ts';
import { boundsOf } from './window.ts';

/** From least to most: not there at all; its name only; to look at; to work in. */
export type AccessState = 'absent' | 'named' | 'look' | 'open';

const RANK: Readonly<Record<AccessState, number>> = { absent: 0, named: 1, look: 2, open: 3 };

export type Reason =
  | 'staff'
  | 'member'
  | 'course_draft'
  | 'course_archived'
  | 'not_a_member'
  | 'visitor'
  /** Outside the course's dates. */
  | 'before_dates'
  | 'after_dates'
  | 'section_not_shown'
  | 'item_not_shown'
  | 'removed'
  /** Around one item: it is not that item. */
  | 'kept_aside'
  | 'not_yet';

export interface Answer {
  readonly state: AccessState;
  readonly because: Reason;
  /** With `not_yet` and `before_dates`: when it opens, in milliseconds since 1970-01-01T00:00Z. */
  readonly opensAt?: number;
}

export interface Access {
  readonly course: Answer;
  /** One answer for every node of the document, tombstones included. */
  readonly nodes: ReadonlyMap<string, Answer>;
}

/** The lower cap; the first on a tie, so that the earliest layer is the one that decided. */
function lower(first: Answer, second: Answer): Answer {
  return RANK[second.state] < RANK[first.state] ? second : first;
}

function lowest(caps: readonly Answer[], otherwise: Answer): Answer {
  return caps.reduce<Answer | null>((low, cap) => (low === null ? cap : lower(low, cap)), null) ?? otherwise;
}

const OUTSIDE: Readonly<Record<Outside, AccessState>> = { closed: 'named', look: 'look', open: 'open' };

function windowCap(course: Course, plan: CoursePlan, at: number): Answer | null {
  const { opensAt, closesAt } = boundsOf(plan);
  const { before, after } = course.window;
  if (opensAt !== null && at < opensAt) return { state: OUTSIDE[before], because: 'before_dates', opensAt };
  if (closesAt !== null && at >= closesAt) return { state: OUTSIDE[after], because: 'after_dates' };
  return null;
}

/** In the order of the layers; those that let everything through are left out. */
export function capsOfCourse(
  course: Course,
  plan: CoursePlan,
  viewer: Viewer,
  at: number,
): readonly Answer[] {
  const caps: Answer[] = [];
  const staff = mayPlan(viewer);
  if (course.state === 'draft' && !staff) caps.push({ state: 'absent', because: 'course_draft' });
  if (course.state === 'archived') caps.push({ state: 'look', because: 'course_archived' });
  if (staff) return caps;
  if (viewer.role === null) caps.push({ state: 'absent', because: 'not_a_member' });
  if (viewer.role === 'visitor') caps.push({ state: 'look', because: 'visitor' });
  const window = windowCap(course, plan, at);
  // A window that leaves everything open decides nothing.
  if (window !== null && window.state !== 'open') caps.push(window);
  return caps;
}

/**
 * The answer for the course and each of its nodes.
 *
 * @param moment the instant asked about (ISO, UTC).
 * @param plan the course's plan for this person; computed when it is not at hand.
 */
export function resolveAccess(
  course: Course,
  viewer: Viewer,
  moment: string,
  plan: CoursePlan = planFor(course, viewer),
): Access {
  const staff = mayPlan(viewer);
  const open: Answer = { state: 'open', because: staff ? 'staff' : 'member' };
  const at = Date.parse(moment);
  const ofCourse = lowest(capsOfCourse(course, plan, viewer, at), open);
  const above = partsOf(ofCourse);
  const nodes = new Map<string, Answer>();
  const sectionPlans = new Map(plan.sections.map((one) => [one.id, one]));
  for (const section of course.sections) {
    const asked: Asked = {
      course,
      staff,
      at,
      plan: sectionPlans.get(section.id) ?? null,
    };
    const ofSection = capped(above, section, asked);
    nodes.set(section.id, ofSection);
    resolveItems(section.items, partsOf(ofSection), asked, nodes);
  }
  return { course: ofCourse, nodes };
}

export interface Asked {
  readonly course: Course;
  readonly staff: boolean;
  readonly at: number;
  /** Null for a removed section. */
  readonly plan: SectionPlan | null;
}

/** Parts of what is only named are not there: a name opens nothing. */
function partsOf(above: Answer): Answer {
  return above.state === 'named' ? { ...above, state: 'absent' } : above;
}

function resolveItems(items: readonly Item[], above: Answer, asked: Asked, nodes: Map<string, Answer>): void {
  for (const item of items) {
    const own = capped(above, item, asked);
    nodes.set(item.id, own);
    if (item.kind === 'folder') resolveItems(item.items, partsOf(own), asked, nodes);
  }
}

function capped(above: Answer, node: CourseNode, asked: Asked): Answer {
  return capsOfNode(node, asked).reduce<Answer>((low, cap) => lower(low, cap), above);
}

/** Those of one node alone, in the order of the layers; what is above it has its own. */
export function capsOfNode(node: CourseNode, { course, staff, at, plan }: Asked): readonly Answer[] {
  if (node.removed) return [{ state: 'absent', because: 'removed' }];
  if (staff) return [];
  const hidden = node.kind === 'section' ? 'section_not_shown' : 'item_not_shown';
  const found: Answer[] = [];
  const { dates } = course;
  // Sections and folders are passed through: what they hold decides for itself.
  const holds = node.kind === 'section' || node.kind === 'folder';
  if (!node.shown) found.push({ state: 'absent', because: hidden });
  if (dates.format === 'item' && !holds && node.id !== dates.around) {
    found.push({ state: 'absent', because: 'kept_aside' });
  }
  const opens = plan?.moments.get(node.id)?.opens;
  if (opens?.kind === 'at' && at < opens.instant) {
    const state = course.closed === 'name' ? 'named' : 'absent';
    found.push({ state, because: 'not_yet', opensAt: opens.instant });
  }
  return found;
}

export function isReadable(state: AccessState): boolean {
  return RANK[state] >= RANK.look;
}

/** Anything at all of it is there, be it its name. */
export function isThere(answer: Answer | undefined): boolean {
  return answer !== undefined && answer.state !== 'absent';
}

export function canSee(answer: Answer | undefined): boolean {
  return answer !== undefined && isReadable(answer.state);
}
