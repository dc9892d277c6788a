/** What a readiness rule is. One file a rule; the sentences live with the languages, keyed by rule. */
import type { Course, Purpose } from '../course/schema/schema.ts';
import type { Edit } from '../course/edits/edits.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import type { Term } from '../calendar/lengths.ts';
import type { FaceFacts } from '../menu/resolve.ts';
import type { WayKind } from '../people/joining/joining.ts';
import type { FactsByText } from '../text/facts.ts';

export type Stop =
  'about' | 'dates' | 'outline' | 'menu' | 'look' | 'progress' | 'access' | 'messages' | 'members';

/** A blocker stops going live; advice does not. */
export type Severity = 'blocker' | 'advice';

export interface Finding {
  readonly rule: string;
  readonly severity: Severity;
  readonly stop: Stop;
  /** The field of the stop that it is about, where there is one. */
  readonly field: string | null;
  /** Ids of the sections and items that it is about; empty when it is about the course. */
  readonly targets: readonly string[];
  /** What the sentences need: ISO days, counts, titles; `variant` where there is more than one sentence. */
  readonly values: Readonly<Record<string, string | number>>;
  /** The edits that cure it with one press, or null where a person has to decide. */
  readonly cure: readonly Edit[] | null;
}

/** How it stands at the ways in, beside the plan. */
export interface DoorFacts {
  /** Letters can go out. */
  readonly hasMail: boolean;
  /** People can pay. */
  readonly hasDesk: boolean;
  /** Invitations that came back, and those that nobody has answered for a week. */
  readonly bounced: number;
  readonly unanswered: number;
  /** Who asks to join, and has no answer. */
  readonly requests: number;
  /** Who waits for a seat, by the way by which they came. */
  readonly waiting: readonly { readonly way: WayKind; readonly count: number }[];
  /** With an account. */
  readonly instructors: number;
  /** Learners in no group; those who are in a class alone are among them. */
  readonly ungrouped: number;
  /** Ids of the classes with learners, none of whom is in a group. */
  readonly leftClasses: readonly string[];
  /** Null: the course follows no class of the registry. */
  readonly registry: {
    /** Learners in the classes that it follows. */
    readonly listed: number;
    /** What somebody has to say of them: who is meant, which is right, whether so many go. */
    readonly asked: number;
    /** The last that was read whole, and whether the one after it went wrong. */
    readonly readAt: string | null;
    readonly isAway: boolean;
  } | null;
}

/** Whether there is one, and whether whoever knows of the course can guess it. */
export type Passphrase = 'none' | 'easy' | 'good';

export interface Context {
  readonly course: Course;
  readonly plan: CoursePlan;
  /** Today in the course's zone. */
  readonly today: string;
  /** Members with the learner's role. */
  readonly learners: number;
  /** The institution's term that the course belongs to, where it is known. */
  readonly term: Term | null;
  /** What long texts hold besides words, by hash. */
  readonly texts: FactsByText;
  readonly passphrase: Passphrase | null;
  readonly groupSizes: Readonly<Record<string, number>> | null;
  /** The institution's pages, and the course's staff; null: not known here. */
  readonly face: FaceFacts | null;
  /** Null: not known here. */
  readonly door: DoorFacts | null;
  /** The instant asked about, in milliseconds since 1970-01-01T00:00Z. */
  readonly at: number;
}

export interface Rule {
  readonly id: string;
  readonly stop: Stop;
  /** What a course is for decides whether the rule makes sense; elsewhere it stays silent. */
  readonly purposes: readonly Purpose[];
  readonly find: (context: Context) => FindingBody | null;
}

export type FindingBody = Pick<Finding, 'severity'> &
  Partial<Pick<Finding, 'stop' | 'field' | 'targets' | 'values' | 'cure'>>;

export const EVERY_PURPOSE: readonly Purpose[] = ['learners', 'practice', 'circle'];
export const WITH_PEOPLE: readonly Purpose[] = ['learners', 'circle'];
export const WITH_LEARNERS: readonly Purpose[] = ['learners'];
