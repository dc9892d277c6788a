/** What decides whether somebody may join: of the course, of a way in, of the person, and what stands open for them. */
import type { Role } from '../../access/roles.ts';

export const WAYS = ['staff', 'registry', 'link', 'invitation', 'request', 'paying'] as const;
export type WayKind = (typeof WAYS)[number];

/** Instants are milliseconds of UTC. */
export interface JoinWindow {
  /** The first instant of it. `undated`: it waits for a date that is not there; null: it has always been open. */
  readonly opens: number | 'undated' | null;
  /** The first instant after it: of a closing to the minute, that minute's end; of a day, that day's. Null: never. */
  readonly closes: number | null;
}

export interface JoinWay {
  readonly kind: WayKind;
  readonly isOn: boolean;
  readonly window: JoinWindow;
  /** Null: as many as the course has. */
  readonly seats: number | null;
  /** Whoever finds no seat of the way may wait for one. */
  readonly hasLine: boolean;
  /** Who may use it; null: anybody. */
  readonly kinds: readonly string[] | null;
  /** Of confirmed addresses, whole. */
  readonly domains: readonly string[] | null;
  /** A course that has to be completed before. */
  readonly after: string | null;
  readonly gives: Role;
  /** To be answered on the way in. */
  readonly asksQuestion: boolean;
}

/** Somebody on the course, or somebody for whom a seat is kept. */
export interface Seated {
  readonly person: string;
  readonly way: WayKind;
}
/** A seat that is kept: an offer from the line, a payment under way, an invitation that keeps one. */
export interface HeldSeat extends Seated {
  readonly kind: 'offer' | 'payment' | 'invitation';
  /** The instant at which it is anybody's again. */
  readonly lapses: number;
}
/** In the order in which they came. */
export interface Waiting extends Seated {
  /** For a seat of the way, or one of the course. */
  readonly line: 'way' | 'course';
}

export interface JoinCourse {
  readonly state: 'draft' | 'live' | 'archived';
  /** A draft that goes live by itself. */
  readonly goesLive: number | null;
  /** Who finds it: members, whoever is signed in here, anybody. */
  readonly finding: 'members' | 'here' | 'anyone';
  readonly seats: number | null;
  readonly hasLine: boolean;
  /** With the learner's role, whatever way they came. */
  readonly learners: readonly Seated[];
  readonly held: readonly HeldSeat[];
  readonly waiting: readonly Waiting[];
}

export interface Joiner {
  /** Null: nobody is signed in. */
  readonly person: string | null;
  /** What the institution says of them: a learner, a teacher, somebody from outside. */
  readonly kind: string | null;
  /** Confirmed addresses. */
  readonly addresses: readonly string[];
  /** Courses that they have completed. */
  readonly completed: readonly string[];
  readonly standing: 'never' | 'in' | 'left' | 'removed';
  /** The course's link or code, as it is in force. */
  readonly hasLink: boolean;
  /** In force until it lapses; null: none. */
  readonly invitation: { readonly lapses: number | null } | null;
}

/** What is missing of those whom a way is for. `staff`: they were removed, and return through staff alone. */
export type Missing = 'kind' | 'domain' | 'completed' | 'link' | 'invitation' | 'staff';

export type JoinAnswer =
  | {
      readonly can: 'yes';
      /** To be gone through first. */
      readonly steps: readonly ('question' | 'payment')[];
      /** The instant at which it is no more; null: none is known. */
      readonly until: number | null;
    }
  /** `place` from 1; `isIn`: they wait already. */
  | {
      readonly can: 'wait';
      readonly line: 'way' | 'course';
      readonly place: number;
      readonly isIn: boolean;
    }
  | {
      readonly can: 'no';
      readonly because:
        'absent' | 'archived' | 'draft' | 'in' | 'off' | 'not_for' | 'not_yet' | 'over' | 'full';
      /** Everything that is missing, where it is not for them. */
      readonly missing: readonly Missing[];
      /** The instant at which the answer changes by itself; null: it does not, or nobody knows. */
      readonly until: number | null;
    };
