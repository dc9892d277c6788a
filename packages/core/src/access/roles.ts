/** Who may do what in a course. Names that a course gives its roles change nothing here. */

/** A member's role in one course; `null` for somebody who is not in it. */
export type Role = 'instructor' | 'assistant' | 'learner' | 'visitor';

export const ROLES: readonly Role[] = ['instructor', 'assistant', 'learner', 'visitor'];

/** Somebody in front of a course: their role in it, and whether they are staff of the institution. */
export interface Viewer {
  readonly role: Role | null;
  readonly institutionStaff: boolean;
  /** The instant at which they joined (ISO, UTC); absent for nobody in particular. */
  readonly joinedAt?: string | null;
}

export type Right =
  /** See the plan and change sections, items, texts, particulars and dates. */
  | 'plan'
  /** Go live, back to draft, archive. */
  | 'state'
  /** Put people on the course and take them off. */
  | 'members'
  /** Read the course as a member. */
  | 'read';

const RIGHTS: Readonly<Record<Role, readonly Right[]>> = {
  instructor: ['plan', 'state', 'members', 'read'],
  assistant: ['plan', 'read'],
  learner: ['read'],
  visitor: ['read'],
};

export function hasRight(viewer: Viewer, right: Right): boolean {
  if (viewer.institutionStaff) return true;
  return viewer.role !== null && RIGHTS[viewer.role].includes(right);
}

/** Staff who may change the plan skip every layer but archived. */
export function mayPlan(viewer: Viewer): boolean {
  return hasRight(viewer, 'plan');
}

/** A learner and nobody in particular: whom previews and readiness ask for. */
export const ANY_LEARNER: Viewer = { role: 'learner', institutionStaff: false };
