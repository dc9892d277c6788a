/** Codes are unique in the institution, whatever their case. */
import type { CodeAnswer } from '@itinerary/contract';
import { foldCode, isThere, proposeCode, resolveAccess } from '@itinerary/core';
import { CourseRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import { keptCourse } from '../../db/kept-courses.ts';
import { viewerOf } from '../access/viewer.ts';
import type { EntityManager } from '../../db/orm.ts';

/** The course that has a code, and a code like it that none has. */
export interface CodeHeld {
  readonly holder: { readonly id: string; readonly title: string; readonly code: string } | null;
  readonly proposal: string;
}

/** @param except a course whose own code does not count as taken. */
export async function codeHeld(
  em: EntityManager,
  institutionId: string,
  code: string,
  except?: string,
): Promise<CodeHeld> {
  const courses = await em.find(CourseRow, { institutionId }, { fields: ['id', 'code', 'title'] });
  const others = courses.filter(({ id }) => id !== except);
  return {
    holder: others.find((course) => foldCode(course.code) === foldCode(code)) ?? null,
    proposal: proposeCode(code, new Set(others.map((course) => foldCode(course.code)))),
  };
}

/** Who asks about a code, and when. */
export interface Asking {
  readonly person: Person;
  readonly now: string;
}

/** That a code is taken is told to everybody who asks, and by which course to whoever knows of that course. */
export async function checkCode(
  em: EntityManager,
  { person, now }: Asking,
  code: string,
  except?: string,
): Promise<CodeAnswer> {
  const { holder, proposal } = await codeHeld(em, person.institutionId, code, except);
  const isTold = holder !== null && (await isKnown(em, person, holder.id, now));
  const heldBy = isTold ? { title: holder.title, code: holder.code } : null;
  return { free: holder === null, heldBy, proposal };
}

async function isKnown(em: EntityManager, person: Person, courseId: string, now: string): Promise<boolean> {
  const loaded = await keptCourse(em, courseId);
  if (loaded === null) return false;
  const viewer = await viewerOf(em, person, loaded.course, now);
  return isThere(resolveAccess(loaded.course, viewer, now).course);
}
