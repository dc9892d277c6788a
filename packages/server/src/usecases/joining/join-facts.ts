/** What decides about joining and is no part of the plan: who is there, and who somebody is. */
import type { CoursePlan } from '@itinerary/core';
import { canJoin, joinCourseOf, wayOf } from '@itinerary/core/people';
import type { JoinAnswer, JoinCourse, Joiner } from '@itinerary/core/people';
import { MemberRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';

export async function joinCourse(em: EntityManager, plan: CoursePlan, at: number): Promise<JoinCourse> {
  const learners = await em.find(
    MemberRow,
    { courseId: plan.course.id, role: 'learner', leftAt: null },
    { fields: ['courseId', 'personId', 'way'] },
  );
  const seated = learners.map(({ personId, way }) => ({ person: personId, way }));
  return joinCourseOf(plan, { learners: seated, held: [], waiting: [] }, at);
}

/** @param hasLink they have the course's code, as it is in force */
export async function joiner(
  em: EntityManager,
  courseId: string,
  person: Person | null,
  hasLink: boolean,
): Promise<Joiner> {
  const row = person === null ? null : await em.findOne(MemberRow, { courseId, personId: person.id });
  const standing = row === null ? 'never' : row.leftAt === null ? 'in' : (row.leftHow ?? 'removed');
  return {
    person: person?.id ?? null,
    kind: person?.kind ?? null,
    // An account of the institution has the address that the institution gave it.
    addresses: person?.address == null ? [] : [person.address],
    completed: [],
    standing,
    hasLink,
    invitation: null,
  };
}

export interface Joining {
  readonly course: JoinCourse;
  readonly answer: JoinAnswer;
}

/** Whether somebody may join by the code that they have. */
export async function joiningByLink(
  em: EntityManager,
  plan: CoursePlan,
  person: Person | null,
  at: number,
): Promise<Joining> {
  const course = await joinCourse(em, plan, at);
  const who = await joiner(em, plan.course.id, person, true);
  return { course, answer: canJoin(course, who, wayOf(plan, 'link'), at) };
}
