/** Who asks, and whether they may. A course that somebody may not see answers as one that does not exist. */
import type { Route } from '@itinerary/contract';
import { hasRight, idSchema, isThere, resolveAccess } from '@itinerary/core';
import type { Right, Viewer } from '@itinerary/core';
import type { Request } from 'express';
import { loadCourse } from '../db/course-rows.ts';
import type { LoadedCourse } from '../db/course-rows.ts';
import { PersonRow } from '../db/entities.ts';
import type { Person } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';
import { Failure } from '../usecases/failure.ts';
import { nothingHere } from '../usecases/read-course.ts';
import { mayCreateCourses, viewerOf } from '../usecases/viewer.ts';

export interface Caller {
  readonly person: Person | null;
}

export interface CourseCaller {
  readonly person: Person;
  readonly viewer: Viewer;
  readonly loaded: LoadedCourse;
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
): Promise<Caller | CourseCaller> {
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
  // What cannot be an id names nothing, and never reaches the database.
  if (!idSchema.safeParse(courseId).success) throw nothingHere();
  const loaded = await loadCourse(em, courseId);
  // A course of another institution does not exist for this person.
  if (loaded === null || loaded.row.institutionId !== person.institutionId) throw nothingHere();
  const viewer = await viewerOf(em, person, courseId);
  if (!isThere(resolveAccess(loaded.course, viewer, now).course)) throw nothingHere();
  if (!hasRight(viewer, right)) throw new Failure('not_allowed', 'Your role in this course does not do this');
  return { person, viewer, loaded };
}
