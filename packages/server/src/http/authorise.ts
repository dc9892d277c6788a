/** Who asks, and whether they may. A course that somebody may not see answers as one that does not exist. */
import type { Route } from '@itinerary/contract';
import { hasRight, idSchema, isThere, resolveAccess } from '@itinerary/core';
import type { Right, Viewer } from '@itinerary/core';
import type { Request } from 'express';
import { keptCourse } from '../db/kept-courses.ts';
import type { KeptCourse } from '../db/kept-courses.ts';
import { PersonRow } from '../db/entities.ts';
import type { Person } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';
import { Failure } from '../usecases/failure.ts';
import { nothingHere } from '../usecases/nothing-here.ts';
import { mayCreateCourses, viewerOf } from '../usecases/access/viewer.ts';
import { isVisiting, visit } from './session.ts';

export interface Caller {
  readonly person: Person | null;
}

export interface CourseCaller {
  readonly person: Person;
  readonly viewer: Viewer;
  readonly loaded: KeptCourse;
}

/** For routes that read: courses can be open to those who have not signed in. */
export interface CourseReader extends Omit<CourseCaller, 'person'> {
  readonly person: Person | null;
}

export async function caller(em: EntityManager, request: Request): Promise<Caller> {
  const id = request.session.person;
  return { person: id === undefined ? null : await em.findOne(PersonRow, { id }) };
}

function signedIn(person: Person | null): Person {
  if (person === null) throw new Failure('not_signed_in', 'Sign in first');
  return person;
}

export async function authorise(
  em: EntityManager,
  route: Route,
  request: Request,
  now: string,
): Promise<Caller | CourseCaller | CourseReader> {
  const who = await caller(em, request);
  switch (route.access) {
    case 'anyone':
      return who;
    case 'signed_in':
      return { person: signedIn(who.person) };
    case 'create': {
      const person = signedIn(who.person);
      if (!mayCreateCourses(person)) throw new Failure('not_allowed', 'Your account does not open courses');
      return { person };
    }
    case 'institution': {
      const person = signedIn(who.person);
      if (person.kind !== 'staff') throw new Failure('not_allowed', 'Only staff of the institution do this');
      return { person };
    }
    case 'read':
      return authoriseReader(em, who.person, request, now);
    default:
      return authoriseInCourse(em, signedIn(who.person), route.access, String(request.params['course']), now);
  }
}

async function authoriseInCourse(
  em: EntityManager,
  person: Person,
  right: Right,
  courseId: string,
  now: string,
): Promise<CourseCaller> {
  const loaded = await courseFor(em, person, courseId);
  if (loaded === null) throw nothingHere();
  const viewer = await viewerOf(em, person, loaded.course, now);
  if (!isThere(resolveAccess(loaded.course, viewer, now).course)) throw nothingHere();
  if (!hasRight(viewer, right)) throw new Failure('not_allowed', 'Your role in this course does not do this');
  return { person, viewer, loaded };
}

/** Members, visitors and those who pass by: what each gets is the answer's to say. */
async function authoriseReader(
  em: EntityManager,
  person: Person | null,
  request: Request,
  now: string,
): Promise<CourseReader> {
  const courseId = String(request.params['course']);
  const loaded = await courseFor(em, person, courseId);
  const own = loaded === null ? null : await viewerOf(em, person, loaded.course, now);
  const viewer = own !== null && isVisiting(request, courseId, now) ? { ...own, passphrase: true } : own;
  if (loaded === null || viewer === null || !isThere(resolveAccess(loaded.course, viewer, now).course)) {
    // Whoever has not signed in may get it once they have.
    if (person === null) throw new Failure('not_signed_in', 'Sign in first');
    throw nothingHere();
  }
  if (viewer.passphrase === true) visit(request, courseId, now);
  return { person, viewer, loaded };
}

async function courseFor(
  em: EntityManager,
  person: Person | null,
  courseId: string,
): Promise<KeptCourse | null> {
  // What cannot be an id names nothing, and never reaches the database.
  if (!idSchema.safeParse(courseId).success) return null;
  const loaded = await keptCourse(em, courseId);
  // A course of another institution does not exist for this person.
  const isForeign = person !== null && loaded?.row.institutionId !== person.institutionId;
  return isForeign ? null : loaded;
}
