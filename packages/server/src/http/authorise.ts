/** Who asks, and whether they may. A course that somebody may not see answers as one that does not exist. */
import type { RouteAccess } from '@itinerary/contract';
import { hasRight, idSchema, isThere, resolveAccess, stateAt } from '@itinerary/core';
import type { Right } from '@itinerary/core';
import type { Request } from 'express';
import { keptCourse } from '../db/kept-courses.ts';
import type { KeptCourse } from '../db/kept-courses.ts';
import { PersonRow } from '../db/entities.ts';
import type { Person } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';
import { Failure } from '../usecases/failure.ts';
import { nothingHere } from '../usecases/nothing-here.ts';
import { mayCreateCourses, plansSomething, viewerOf } from '../usecases/access/viewer.ts';
import type { Caller, CourseCaller, CourseReader, SignedIn, WhoFor } from './call.ts';
import { knowsOf } from '../usecases/joining/join-facts.ts';
import { passphraseMark } from '../usecases/access/passphrase.ts';
import { visitBy } from './session.ts';

interface Asking {
  readonly em: EntityManager;
  readonly request: Request;
  readonly now: string;
}

async function caller({ em, request }: Asking): Promise<Caller> {
  // Health and the OpenAPI document answer without asking who is there.
  const id = request.session === undefined ? undefined : request.session.person;
  return { person: id === undefined ? null : await em.findOne(PersonRow, { id }) };
}

async function signedIn(asking: Asking): Promise<SignedIn> {
  const { person } = await caller(asking);
  if (person === null) throw new Failure('not_signed_in', 'Sign in first');
  return { person };
}

const inCourse =
  (right: Right) =>
  async (asking: Asking): Promise<CourseCaller> => {
    const { em, request, now } = asking;
    const { person } = await signedIn(asking);
    const loaded = await courseFor(em, person, String(request.params['course']));
    if (loaded === null) throw nothingHere();
    const viewer = await viewerOf(em, person, loaded.course, now);
    if (!isThere(resolveAccess(loaded.course, viewer, now).course)) throw nothingHere();
    if (!hasRight(viewer, right))
      throw new Failure('not_allowed', 'Your role in this course does not do this');
    return { person, viewer, loaded };
  };

/** Members, visitors and those who pass by: what each gets is the answer's to say. */
async function reader(asking: Asking): Promise<CourseReader> {
  const { em, request, now } = asking;
  const { person } = await caller(asking);
  const courseId = String(request.params['course']);
  const loaded = await courseFor(em, person, courseId);
  const own = loaded === null ? null : await viewerOf(em, person, loaded.course, now);
  const by = own === null ? null : visitBy(request, courseId, now);
  // Changed or taken away, it lets in nobody who came by it.
  const isVisiting = by !== null && by === (await passphraseMark(em, courseId));
  const viewer = own !== null && isVisiting ? { ...own, passphrase: true } : own;
  if (loaded === null || viewer === null || !isThere(resolveAccess(loaded.course, viewer, now).course)) {
    // Whoever has not signed in may get it once they have.
    if (person === null) throw new Failure('not_signed_in', 'Sign in first');
    throw nothingHere();
  }
  return { person, viewer, loaded };
}

/** Whoever gets something of a course knows of it; so does whoever could join it, waits for it, or has been in it. */
async function knowing(asking: Asking): Promise<CourseReader> {
  const { em, request, now } = asking;
  const { person } = await caller(asking);
  const loaded = await courseFor(em, person, String(request.params['course']));
  if (loaded !== null) {
    const { course } = loaded;
    const viewer = await viewerOf(em, person, course, now);
    const at = Date.parse(now);
    const isOut = stateAt(course, at) === 'draft';
    const knows =
      isThere(resolveAccess(course, viewer, now).course) ||
      (!isOut && (await knowsOf(em, course, person, at)));
    if (knows) return { person, viewer, loaded };
  }
  if (person === null) throw new Failure('not_signed_in', 'Sign in first');
  throw nothingHere();
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

/** What a route asks for, and who somebody is once they have it. */
export const AUTHORISE: {
  readonly [Access in RouteAccess]: (asking: Asking) => Promise<WhoFor<Access>>;
} = {
  anyone: caller,
  signed_in: signedIn,
  create: async (asking) => {
    const who = await signedIn(asking);
    if (!mayCreateCourses(who.person)) throw new Failure('not_allowed', 'Your account does not open courses');
    return who;
  },
  planner: async (asking) => {
    const who = await signedIn(asking);
    if (await plansSomething(asking.em, who.person)) return who;
    throw new Failure('not_allowed', 'This is for those who plan a course');
  },
  institution: async (asking) => {
    const who = await signedIn(asking);
    if (who.person.kind !== 'staff')
      throw new Failure('not_allowed', 'Only staff of the institution do this');
    return who;
  },
  read: reader,
  knows: knowing,
  plan: inCourse('plan'),
  state: inCourse('state'),
  members: inCourse('members'),
  mark: inCourse('mark'),
};
