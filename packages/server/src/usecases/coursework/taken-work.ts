/** Work as one person has it: whether they may do it, and by when it is taken. */
import {
  accessAt,
  canSee,
  findNode,
  handInWindow,
  learnersNode,
  momentsOf,
  ownCourse,
  ownPlan,
} from '@itinerary/core';
import type { Assignment, Course, CourseNode, HandInWindow, Quiz, Viewer } from '@itinerary/core';
import { nothingHere } from '../nothing-here.ts';

type OfKind<Kind extends CourseNode['kind']> = Extract<CourseNode, { kind: Kind }>;
type Taken = Assignment | Quiz;

export interface OwnWork<Node extends Taken> {
  readonly node: Node;
  readonly window: HandInWindow;
  /** A learner, and it is open to them now. */
  readonly mayWork: boolean;
}

/** An item as this person has it: what is held as learners have it. @throws Failure `not_found` where they do not get it, or it is none of that kind */
export function itemFor<Kind extends CourseNode['kind']>(
  course: Course,
  viewer: Viewer,
  itemId: string,
  kind: Kind,
  now: string,
): { readonly node: OfKind<Kind>; readonly isOpen: boolean } {
  const at = Date.parse(now);
  const answer = accessAt(course, viewer, at).nodes.get(itemId);
  const node = findNode(ownCourse(course, viewer, at), itemId)?.node;
  if (!canSee(answer) || node?.kind !== kind) throw nothingHere();
  return { node: node as OfKind<Kind>, isOpen: answer?.state === 'open' };
}

/** @throws Failure `not_found` where this person does not get it, or it is none of that kind */
export function workFor<Kind extends Taken['kind']>(
  course: Course,
  viewer: Viewer,
  itemId: string,
  kind: Kind,
  now: string,
): OwnWork<OfKind<Kind>> {
  const { node, isOpen } = itemFor(course, viewer, itemId, kind, now);
  return {
    node,
    window: windowFor(course, viewer, node, Date.parse(now)),
    mayWork: viewer.role === 'learner' && isOpen,
  };
}

export function windowFor(course: Course, viewer: Viewer, node: Taken, at: number): HandInWindow {
  return handInWindow(momentsOf(ownPlan(course, viewer, at), node.id), node.grace);
}

/** An item as learners have it: while it is held, it is asked, judged and looked at as it was. */
export function takenWork<Kind extends CourseNode['kind']>(
  course: Course,
  itemId: string,
  kind: Kind,
  now: string,
): OfKind<Kind> {
  const node = learnersNode(course, itemId, Date.parse(now));
  return node?.kind === kind ? (node as OfKind<Kind>) : plannedWork(course, itemId, kind);
}

/** Staff's way to it, whoever gets it. @throws Failure `not_found` where it is none of that kind */
export function plannedWork<Kind extends CourseNode['kind']>(
  course: Course,
  itemId: string,
  kind: Kind,
): OfKind<Kind> {
  const node = findNode(course, itemId)?.node;
  if (node?.kind !== kind) throw nothingHere();
  return node as OfKind<Kind>;
}
