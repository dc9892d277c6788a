/** Who may do what in a course. Names that a course gives its roles change nothing here. */

import type { Facts } from '../deeds/facts.ts';
import type { Reached } from '../deeds/reached.ts';
import type { PersonException } from '../course/schema/access-schema.ts';

/** A member's role in one course; `null` for somebody who is not in it. */
export type Role = 'instructor' | 'assistant' | 'learner' | 'visitor';

export const ROLES: readonly Role[] = ['instructor', 'assistant', 'learner', 'visitor'];

/** What somebody has done in a course so far. */
export interface Deeds {
  /** Ids of items that are done. */
  readonly done: ReadonlySet<string>;
  /** By item that is done, since when, in milliseconds since 1970-01-01T00:00Z; where nobody has said, since ever. */
  readonly since?: ReadonlyMap<string, number>;
  /** By item, in percent of what can be reached. */
  readonly scores: ReadonlyMap<string, number>;
  /** Ids of other courses that they have completed. */
  readonly courses: ReadonlySet<string>;
  /** By item, all that a done rule can ask about; missing: nobody in particular, of whom only what is done is said. */
  readonly facts?: ReadonlyMap<string, Facts>;
  /** Sections that they are done with, and the course, by id. */
  readonly reached?: ReadonlyMap<string, Reached>;
}

export const NOTHING_DONE: Deeds = { done: new Set(), scores: new Map(), courses: new Set() };

/** Somebody in front of a course: their role in it, and whether they are staff of the institution. */
export interface Viewer {
  readonly role: Role | null;
  readonly institutionStaff: boolean;
  /** The instant at which they joined (ISO, UTC); absent for nobody in particular. */
  readonly joinedAt?: string | null;
  /** Ids of the groups and classes that they are in. */
  readonly groups?: readonly string[];
  readonly deeds?: Deeds;
  /** Their own moments; they go before those of their groups. */
  readonly exceptions?: readonly PersonException[];
  /** Of the institution and signed in, for whoever is not in the course. */
  readonly here?: boolean;
  /** Gave the passphrase on this visit. */
  readonly passphrase?: boolean;
}

export type Right =
  /** See the plan and change sections, items, texts, particulars and dates. */
  | 'plan'
  /** Go live, back to draft, archive. */
  | 'state'
  /** Put people on the course and take them off. */
  | 'members'
  /** Look at what learners hand in, and mark it. */
  | 'mark'
  /** Read the course as a member. */
  | 'read';

const RIGHTS: Readonly<Record<Role, readonly Right[]>> = {
  instructor: ['plan', 'state', 'members', 'mark', 'read'],
  assistant: ['plan', 'mark', 'read'],
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
