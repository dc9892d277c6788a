/** What decides about joining and is no part of the plan: who is there, for whom a seat is kept, and who somebody is. */
import { planFor } from '@itinerary/core';
import type { Course, CoursePlan } from '@itinerary/core';
import { canJoin, joinCourseOf, wayOf } from '@itinerary/core/people';
import type { HeldSeat, JoinAnswer, JoinCourse, Joiner, JoinFacts } from '@itinerary/core/people';
import type { OpenWay } from '@itinerary/contract';
import { MemberRow } from '../../db/entities.ts';
import type { InvitationRecord, MemberRecord, Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { completedAmong, PASSER_BY } from '../access/viewer.ts';

/** For whom the seat of an invitation is kept, as long as its address is nobody's. */
export const holderOf = (invitation: Pick<InvitationRecord, 'id'>): string => `invitation ${invitation.id}`;

/** What somebody has in hand as they come. */
export interface InHand {
  readonly hasLink: boolean;
  readonly invitation: InvitationRecord | null;
  /** For whom its seat may be kept: the account of its address, or the invitation itself. */
  readonly holders: readonly string[];
}
export const EMPTY_HANDED: InHand = { hasLink: false, invitation: null, holders: [] };

export async function joinCourse(em: EntityManager, plan: CoursePlan, at: number): Promise<JoinCourse> {
  const [row] = await em.execute<FactRows[]>(
    `select
       (select json_agg(json_build_object('person', person_id, 'way', way)) from member
         where course_id = ? and role = 'learner' and left_at is null) as learners,
       (select json_agg(json_build_object('person', holder, 'kind', kind, 'way', way, 'lapses', lapses_at))
         from held_seat where course_id = ?) as held,
       (select json_agg(json_build_object('person', person_id, 'way', way, 'line', line) order by arrival)
         from waiting where course_id = ?) as waiting`,
    Array.from({ length: 3 }, () => plan.course.id),
  );
  const facts = { learners: row?.learners ?? [], held: row?.held ?? [], waiting: row?.waiting ?? [] };
  return joinCourseOf(plan, facts, at);
}

interface FactRows {
  readonly learners: JoinFacts['learners'] | null;
  readonly held: JoinFacts['held'] | null;
  readonly waiting: JoinFacts['waiting'] | null;
}

/** As it is for whoever has not joined, worked out once for as long as the course stands as it is. */
export const planOf = (course: Course): CoursePlan => planFor(course, PASSER_BY);

export function standingOf(row: MemberRecord | null): Joiner['standing'] {
  if (row === null) return 'never';
  if (row.leftAt === null) return 'in';
  // Whoever has not paid for another period may come again, as if they had left.
  return row.leftHow === 'lapsed' ? 'left' : (row.leftHow ?? 'removed');
}

export function joinerOf(
  person: Person | null,
  row: MemberRecord | null,
  { hasLink, invitation }: InHand,
  completed: ReadonlySet<string> = new Set(),
): Joiner {
  return {
    person: person?.id ?? (invitation === null ? null : holderOf(invitation)),
    kind: person?.kind ?? null,
    // An account has the address that the institution gave it, or one that its own letter has confirmed.
    addresses: person?.address == null ? [] : [person.address],
    completed: [...completed],
    standing: standingOf(row),
    hasLink,
    invitation:
      invitation?.state === 'waiting'
        ? { lapses: invitation.lapsesAt == null ? null : Date.parse(invitation.lapsesAt) }
        : null,
  };
}

/** Of the courses that a way in asks to be completed before, those that somebody has completed. */
export async function completedFor(
  em: EntityManager,
  { ways }: Pick<Course, 'ways'>,
  person: Person | null,
  at: number,
): Promise<ReadonlySet<string>> {
  const named = new Set(
    Object.values(ways).flatMap(({ on, after }) => (on && after !== null ? [after.course] : [])),
  );
  return person === null ? new Set() : completedAmong(em, person, named, new Date(at).toISOString());
}

/** A seat that is kept for an invitation is kept for whoever has it in hand. */
function keptFor(course: JoinCourse, joiner: Joiner, { invitation, holders }: InHand): JoinCourse {
  if (invitation === null) return course;
  const person = joiner.person ?? holderOf(invitation);
  const mine = (one: HeldSeat): HeldSeat =>
    one.kind === 'invitation' && holders.includes(one.person) ? { ...one, person } : one;
  return { ...course, held: course.held.map(mine) };
}

export interface Joining {
  readonly course: JoinCourse;
  readonly joiner: Joiner;
  readonly answerBy: (way: OpenWay) => JoinAnswer;
}

export async function joiningOf(
  em: EntityManager,
  plan: CoursePlan,
  person: Person | null,
  hand: InHand,
  at: number,
): Promise<Joining> {
  const courseId = plan.course.id;
  const found = await joinCourse(em, plan, at);
  const row = person === null ? null : await em.findOne(MemberRow, { courseId, personId: person.id });
  // Whoever waits by the code, or is offered a seat by it, had it when they came; a new one does not undo that.
  const cameByLink = [...found.waiting, ...found.held].some(
    (one) => one.way === 'link' && one.person === person?.id,
  );
  const held = { ...hand, hasLink: hand.hasLink || cameByLink };
  const joiner = joinerOf(person, row, held, await completedFor(em, plan.course, person, at));
  const course = keptFor(found, joiner, hand);
  const answerBy = (way: OpenWay): JoinAnswer =>
    canJoin(course, joiner, wayOf(plan, way, way === 'invitation' ? hand.invitation?.role : undefined), at);
  return { course, joiner, answerBy };
}

/** Of a course that is no draft: whether somebody may know that it is there, with nothing in hand. */
export async function knowsOf(
  em: EntityManager,
  course: Course,
  person: Person | null,
  at: number,
): Promise<boolean> {
  const { answerBy } = await joiningOf(em, planOf(course), person, EMPTY_HANDED, at);
  const answer = answerBy('request');
  return answer.can !== 'no' || answer.because !== 'absent';
}
