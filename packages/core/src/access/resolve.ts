/**
 * Who sees what, and which layer decided (docs/semantics.md, Access). Nothing else in Itinerary decides it.
 *
 * Each layer caps the state; the answer is the lowest cap, and the layer that decided is the first, in the
 * order of `LAYERS`, with that cap. The layers so far: the course's state, membership, and what is shown.
 */
import type { Course } from '../course/schema.ts';
import type { Viewer } from './roles.ts';
import { mayPlan } from './roles.ts';

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
  | 'section_not_shown'
  | 'item_not_shown'
  | 'removed';

export interface Answer {
  readonly state: AccessState;
  readonly because: Reason;
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

function courseCaps(course: Course, viewer: Viewer): readonly Answer[] {
  const caps: Answer[] = [];
  const staff = mayPlan(viewer);
  if (course.state === 'draft' && !staff) caps.push({ state: 'absent', because: 'course_draft' });
  if (course.state === 'archived') caps.push({ state: 'look', because: 'course_archived' });
  if (staff) return caps;
  if (viewer.role === null) caps.push({ state: 'absent', because: 'not_a_member' });
  if (viewer.role === 'visitor') caps.push({ state: 'look', because: 'visitor' });
  return caps;
}

/**
 * The answer for the course and each of its nodes.
 *
 * @param moment the instant asked about (ISO, UTC). The layers so far do not depend on it; opening rules and
 *   the window will, and every caller passes it already.
 */
export function resolveAccess(course: Course, viewer: Viewer, moment: string): Access {
  void moment;
  const staff = mayPlan(viewer);
  const open: Answer = { state: 'open', because: staff ? 'staff' : 'member' };
  const ofCourse = lowest(courseCaps(course, viewer), open);
  const nodes = new Map<string, Answer>();
  for (const section of course.sections) {
    const ofSection = possible(ofCourse, section, 'section_not_shown', staff);
    nodes.set(section.id, ofSection);
    for (const item of section.items) nodes.set(item.id, possible(ofSection, item, 'item_not_shown', staff));
  }
  return { course: ofCourse, nodes };
}

function possible(
  above: Answer,
  node: { readonly shown: boolean; readonly removed: boolean },
  hidden: 'section_not_shown' | 'item_not_shown',
  staff: boolean,
): Answer {
  if (node.removed) return lower(above, { state: 'absent', because: 'removed' });
  if (!node.shown && !staff) return lower(above, { state: 'absent', because: hidden });
  return above;
}

export function canSee(answer: Answer | undefined): boolean {
  return answer !== undefined && RANK[answer.state] >= RANK.look;
}
