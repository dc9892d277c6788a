/** Where somebody on a course stands: groups, moments of their own, what they have done. */
import type { StandingAnswer } from '@itinerary/contract';
import { NOTHING_DONE } from '@itinerary/core';
import type { Course } from '@itinerary/core';
import { MemberRow, PersonRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { viewerOf } from '../access/viewer.ts';
import { Failure } from '../failure.ts';
import { visitsOf } from '../reading/visits.ts';

export async function readStanding(
  em: EntityManager,
  course: Course,
  personId: string,
  now: string,
): Promise<StandingAnswer> {
  const person = await em.findOne(PersonRow, { id: personId });
  const member = await em.findOne(MemberRow, { courseId: course.id, personId, leftAt: null });
  if (person === null || member === null) {
    throw new Failure('not_found', 'Nobody on this course has that id');
  }
  const { groups = [], exceptions = [], deeds = NOTHING_DONE } = await viewerOf(em, person, course, now);
  return {
    name: person.name,
    role: member.role,
    joinedAt: member.joinedAt,
    groups,
    exceptions,
    facts: Object.fromEntries(deeds.facts ?? []),
    courses: [...deeds.courses],
    last: (await visitsOf(em, personId, [course.id]))(course.id)?.lastItem ?? null,
  };
}
