/** What somebody gets of a course or a part of it, and the layer that decided (docs/semantics.md, Access). */

import { z } from 'zod';

/** From least to most: not there at all; its name only; to look at; to work in. */
export const accessStateSchema = z.enum(['absent', 'named', 'look', 'open']);
export type AccessState = z.infer<typeof accessStateSchema>;

const RANK: Readonly<Record<AccessState, number>> = { absent: 0, named: 1, look: 2, open: 3 };

export type Reason =
  | 'staff'
  | 'member'
  | 'course_draft'
  | 'course_archived'
  /** Not in the course, and it has no other way in for them. */
  | 'not_a_member'
  /** The course has a passphrase for visitors, and they have not given it. */
  | 'passphrase_wanted'
  | 'visitor'
  /** Outside the course's dates. */
  | 'before_dates'
  | 'after_dates'
  | 'removed'
  /** Learners get what it stands in as it was when it was held, and it was not there then. */
  | 'held'
  | 'section_not_shown'
  | 'item_not_shown'
  | 'staff_only'
  /** Around one item: it is not that item. */
  | 'kept_aside'
  /** It is for groups or classes that they are not in. */
  | 'other_audience'
  /** Its opening is a matter of time alone. */
  | 'not_yet'
  /** Its opening waits for something that is to be done. */
  | 'waiting'
  /** It was open until a moment that has passed. */
  | 'over'
  /** Opened to those who are not in the course. */
  | 'sample';

export interface Answer {
  readonly state: AccessState;
  readonly because: Reason;
  /** When waiting alone opens it, in milliseconds since 1970-01-01T00:00Z. */
  readonly opensAt?: number;
}

/** The lower cap; the first on a tie, so that the earliest layer is the one that decided. */
export function lower(first: Answer, second: Answer): Answer {
  return RANK[second.state] < RANK[first.state] ? second : first;
}

export function lowest(caps: readonly Answer[], otherwise: Answer): Answer {
  return caps.reduce<Answer | null>((low, cap) => (low === null ? cap : lower(low, cap)), null) ?? otherwise;
}

/** Parts of what is only named are not there: a name opens nothing. */
export function ofParts(above: Answer): Answer {
  return above.state === 'named' ? { ...above, state: 'absent' } : above;
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
