/** What a course's plan says of joining it, as `canJoin` asks for it. */
import { goesLiveAt, stateAt } from '../../access/course-caps.ts';
import { momentOfCourse } from '../../calendar/course-plan.ts';
import { endOf } from '../../calendar/moments.ts';
import type { CoursePlan } from '../../calendar/course-plan.ts';
import { SHUT_WAY } from '../../course/schema/joining-schema.ts';
import type { SwitchedWay, WayIn } from '../../course/schema/joining-schema.ts';
import type { Course } from '../../course/schema/schema.ts';
import type { PlannedMoment } from '../../course/schema/moment-schema.ts';
import type { Role } from '../../access/roles.ts';
import type { HeldSeat, JoinCourse, JoinWay, JoinWindow, Seated, Waiting } from './joining.ts';

/** What is not in the plan: who is there, and for whom a seat is kept. */
export interface JoinFacts {
  readonly learners: readonly Seated[];
  readonly held: readonly HeldSeat[];
  readonly waiting: readonly Waiting[];
}

function opensAt(plan: CoursePlan, moment: PlannedMoment | null): JoinWindow['opens'] {
  if (moment === null) return null;
  const resolved = momentOfCourse(plan, moment, 'opens');
  return resolved.kind === 'at' ? resolved.instant : 'undated';
}

/** An undated closing is none. */
export function closesAt(plan: CoursePlan, moment: PlannedMoment | null): number | null {
  if (moment === null) return null;
  const resolved = momentOfCourse(plan, moment, 'until');
  return resolved.kind === 'at' ? endOf(resolved) : null;
}

export const wayIn = ({ course }: CoursePlan, kind: SwitchedWay): WayIn => course.ways[kind] ?? SHUT_WAY;

/** The role that somebody gets who comes by a way. @param own that of an invitation, or what the registry says */
export function roleBy({ ways }: Pick<Course, 'ways'>, kind: SwitchedWay, own?: Role): Role {
  if (own !== undefined) return own;
  return kind === 'link' || kind === 'request' ? (ways[kind] ?? SHUT_WAY).gives : 'learner';
}

/** A way that the course switches, as it is in the plan. */
export function wayOf(plan: CoursePlan, kind: SwitchedWay, own?: Role): JoinWay {
  const { on, opens, closes, seats, domains, line, question, kinds, after } = wayIn(plan, kind);
  return {
    kind,
    isOn: on,
    window: { opens: opensAt(plan, opens), closes: closesAt(plan, closes) },
    seats,
    hasLine: line,
    kinds,
    domains,
    after: after?.course ?? null,
    gives: roleBy(plan.course, kind, own),
    asksQuestion: kind === 'request' && question !== null,
  };
}

/** @param at in milliseconds since 1970-01-01T00:00Z */
export function joinCourseOf({ course }: CoursePlan, facts: JoinFacts, at: number): JoinCourse {
  return {
    state: stateAt(course, at),
    goesLive: goesLiveAt(course),
    finding: course.find,
    seats: course.seats,
    hasLine: course.line,
    ...facts,
  };
}
