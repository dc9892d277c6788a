/** Opens a new course as a draft, with one section a week and its author as instructor. */
import { randomUUID } from 'node:crypto';
import type { CodeAnswer, NewCourseRequest } from '@itinerary/contract';
import { newCourse } from '@itinerary/core';
import { UniqueConstraintViolationException } from '@mikro-orm/core';
import { CourseRow, DepartmentRow, MemberRow, TermRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { lockedCourse } from '../../db/kept-courses.ts';
import { follow } from '../registry/follows.ts';
import { checkCode } from './course-codes.ts';
import { Failure } from '../failure.ts';
import { idTaken } from '../id-taken.ts';
import { storeCourse } from '../plan/store-course.ts';

export async function createCourse(
  em: EntityManager,
  person: Person,
  { follows = [], id: own, ...request }: NewCourseRequest,
  now: string,
): Promise<{ readonly id: string }> {
  const { institutionId } = person;
  const isOpened = async (): Promise<boolean> =>
    own !== undefined && (await hasOpened(em.fork(), person, own));
  if (own !== undefined && (await isOpened())) return { id: own };
  await mustExist(em, institutionId, 'department', request.department);
  await mustExist(em, institutionId, 'term', request.term);
  const check = await checkCode(em, { person, now }, request.code);
  if (!check.free) {
    // Sent twice at once, the other has it.
    if (own !== undefined && (await isOpened())) return { id: own };
    throw codeTaken(request.code, check);
  }
  const id = own ?? randomUUID();
  const course = newCourse({
    ...request,
    id,
    sectionIds: Array.from({ length: request.weeks }, () => randomUUID()),
  });
  const members = [{ person: person.id, role: 'instructor' as const }];
  try {
    await em.transactional(async (inner) => {
      storeCourse(inner, { institutionId, course, texts: {}, members, now });
      if (follows.length === 0) return;
      await inner.flush();
      const loaded = await lockedCourse(inner, id);
      if (loaded !== null) await follow(inner, loaded, follows, { person, now });
    });
  } catch (error) {
    // Somebody took the code between the check and here; the database decides.
    if (!(error instanceof UniqueConstraintViolationException)) throw error;
    if (own !== undefined && (await isOpened())) return { id: own };
    const again = await checkCode(em.fork(), { person, now }, request.code);
    throw codeTaken(request.code, again);
  }
  return { id };
}

/**
 * Whether they have opened it before.
 *
 * @throws Failure where somebody else's course has the id
 */
async function hasOpened(em: EntityManager, person: Person, id: string): Promise<boolean> {
  if ((await em.count(CourseRow, { id })) === 0) return false;
  const own = { courseId: id, personId: person.id, role: 'instructor' as const, leftAt: null };
  if ((await em.count(MemberRow, own)) > 0) return true;
  throw idTaken(id);
}

function codeTaken(code: string, { heldBy, proposal }: CodeAnswer): Failure {
  const by = heldBy === null ? 'is taken' : `belongs to "${heldBy.title}"`;
  return new Failure('code_taken', `The code ${code} ${by}; ${proposal} is free`, [
    { path: 'code', value: code, expected: `a code that no course has, such as ${proposal}` },
  ]);
}

async function mustExist(
  em: EntityManager,
  institutionId: string,
  field: 'department' | 'term',
  code: string | null,
): Promise<void> {
  if (await isKnownChoice(em, institutionId, field, code)) return;
  throw new Failure('bad_input', `The institution has no ${field} ${String(code)}`, [
    { path: field, value: code, expected: `the code of a ${field} of the institution, or null` },
  ]);
}

/** Departments and terms are the institution's; a course names them by code, or names none. */
export async function isKnownChoice(
  em: EntityManager,
  institutionId: string,
  field: 'department' | 'term',
  code: string | null,
): Promise<boolean> {
  if (code === null) return true;
  const count =
    field === 'department'
      ? await em.count(DepartmentRow, { institutionId, code })
      : await em.count(TermRow, { institutionId, code });
  return count === 1;
}
