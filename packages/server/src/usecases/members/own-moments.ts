/** Moments of single persons on sections and items: outside the course document, and never copied with it. */
import type { OwnMoments, OwnMomentsAnswer } from '@itinerary/contract';
import { findNode } from '@itinerary/core';
import type { Course } from '@itinerary/core';
import { MemberRow, PersonExceptionRow, PersonRow } from '../../db/entities.ts';
import { underCourse } from '../../db/locks.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';

export async function ownMoments(em: EntityManager, courseId: string): Promise<OwnMomentsAnswer> {
  const rows = await em.find(PersonExceptionRow, { courseId }, { orderBy: { at: 'asc', id: 'asc' } });
  const people = await em.find(PersonRow, { id: { $in: rows.map(({ personId }) => personId) } });
  const names = new Map(people.map(({ id, name }) => [id, name]));
  return {
    exceptions: rows.map(({ id, personId, nodeId, opens, due, until, factor, at }) => ({
      id,
      person: personId,
      name: names.get(personId) ?? '',
      node: nodeId,
      opens: opens ?? null,
      due: due ?? null,
      until: until ?? null,
      factor: factor ?? null,
      at,
    })),
  };
}

export async function setOwnMoments(
  em: EntityManager,
  course: Course,
  id: string,
  { person, node, opens, due, until, factor = null }: OwnMoments,
  now: string,
): Promise<OwnMomentsAnswer> {
  const courseId = course.id;
  const wrong = (path: string, value: unknown, expected: string): Failure =>
    new Failure('bad_input', `In the body: ${path}`, [{ path, value, expected }]);
  const place = findNode(course, node);
  if (place === null) throw wrong('node', node, 'the id of a section or item of the course');
  if (due !== null && !('due' in place.node)) throw wrong('due', due, 'null: nothing is handed in there');
  if (factor !== null && place.node.kind !== 'quiz')
    throw wrong('factor', factor, 'null: there is no time limit');
  if (opens === null && due === null && until === null && factor === null) {
    throw wrong('opens', null, 'at least one of opens, due, until and factor');
  }
  await underCourse(em, courseId, async (inner) => {
    const member = await inner.findOne(MemberRow, { courseId, personId: person, leftAt: null });
    if (member === null) throw wrong('person', person, 'the id of somebody on the course');
    const row = await inner.findOne(PersonExceptionRow, { courseId, id });
    const same = await inner.findOne(PersonExceptionRow, { courseId, personId: person, nodeId: node });
    if (same !== null && same.id !== id) {
      throw wrong('node', node, 'a section or item on which this person has no moments of their own yet');
    }
    const values = { personId: person, nodeId: node, opens, due, until, factor, at: Date.parse(now) };
    if (row === null) inner.persist(inner.create(PersonExceptionRow, { courseId, id, ...values }));
    else inner.assign(row, values);
  });
  return ownMoments(em.fork(), courseId);
}

/** Taking away what is not there is done already. */
export async function removeOwnMoments(
  em: EntityManager,
  courseId: string,
  id: string,
): Promise<OwnMomentsAnswer> {
  await em.nativeDelete(PersonExceptionRow, { courseId, id });
  return ownMoments(em, courseId);
}
