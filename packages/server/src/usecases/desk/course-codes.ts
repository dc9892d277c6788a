/** Codes are unique in the institution, whatever their case. */
import type { CodeAnswer } from '@itinerary/contract';
import { foldCode, proposeCode } from '@itinerary/core';
import { CourseRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';

/** @param except a course whose own code does not count as taken. */
export async function checkCode(
  em: EntityManager,
  institutionId: string,
  code: string,
  except?: string,
): Promise<CodeAnswer> {
  const courses = await em.find(CourseRow, { institutionId }, { fields: ['id', 'code', 'title'] });
  const others = courses.filter(({ id }) => id !== except);
  const holder = others.find((course) => foldCode(course.code) === foldCode(code));
  return {
    free: holder === undefined,
    heldBy: holder === undefined ? null : { title: holder.title, code: holder.code },
    proposal: proposeCode(code, new Set(others.map((course) => foldCode(course.code)))),
  };
}
