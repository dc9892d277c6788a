/** Who asks, and whether they may. A course that somebody may not see answers as one that does not exist. */
import type { RouteAccess } from '@itinerary/contract';
import { hasRight, idSchema, isThere, mayPlan, resolveAccess, stateAt } from '@itinerary/core';
import type { Course, Right, Viewer } from '@itinerary/core';
import type { Request } from 'express';
import { comingTo } from '../db/coming.ts';
import type { Coming } from '../db/coming.ts';
import { keptCourses } from '../db/kept-courses.ts';
import type { KeptCourse } from '../db/kept-courses.ts';
import { PersonRow } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';
import { Failure } from '../usecases/failure.ts';
import { nothingHere } from '../usecases/nothing-here.ts';
import { mayCreateCourses, plansSomething, viewerComing } from '../usecases/access/viewer.ts';
import type { Caller, CourseCaller, CourseReader, SignedIn, WhoFor } from './call.ts';
import { knowsOf } from '../usecases/joining/join-facts.ts';
import { markOf } from '../usecases/access/passphrase.ts';
import { personRowOf, visitBy } from './session.ts';

interface Asking {
  readonly em: EntityManager;
  readonly request: Request;
  readonly now: string;
}

/** As their row was when the request came. */
function caller({ em, request }: Asking): Promise<Caller> {
  const row = personRowOf(request);
  return Promise.resolve({ person: row === null ? null : em.map(PersonRow, row) });
}

async function signedIn(asking: Asking): Promise<SignedIn> {
  const { person } = await caller(asking);
  if (person === null) throw notSignedIn();
  return { person };
}

/** Somebody who comes to a course; of another institution, or where there is none, they come to nothing. */
async function coming({ em, request }: Asking): Promise<Coming & { readonly loaded: KeptCourse | null }> {
  const id = String(request.params['course']);
  // What cannot be an id names nothing, and never reaches the database.
  const came = await comingTo(em, request.session.person ?? null, idSchema.safeParse(id).success ? id : null);
  const { person, number } = came;
  const isForeign = person !== null && number?.institutionId !== person.institutionId;
  const [loaded = null] = number === null || isForeign ? [] : await keptCourses(em, [number]);
  return { ...came, loaded };
}

/** Whoever plans a course has it before them in all its states, so that nothing has to be worked out for that. */
const isThereFor = (course: Course, viewer: Viewer, now: string): boolean =>
  mayPlan(viewer) || isThere(resolveAccess(course, viewer, now).course);

const notSignedIn = (): Failure => new Failure('not_signed_in', 'Sign in first');

const inCourse =
  (right: Right) =>
  async (asking: Asking): Promise<CourseCaller> => {
    const { em, now } = asking;
    const came = await coming(asking);
    const { person, loaded, around } = came;
    if (person === null) throw notSignedIn();
    if (loaded === null) throw nothingHere();
    const viewer = await viewerComing(em, came, loaded.course, now);
    if (!isThereFor(loaded.course, viewer, now)) throw nothingHere();
    if (!hasRight(viewer, right))
      throw new Failure('not_allowed', 'Your role in this course does not do this');
    return { person, viewer, loaded, around };
  };

/** Members, visitors and those who pass by: what each gets is the answer's to say. */
async function reader(asking: Asking): Promise<CourseReader> {
  const { em, request, now } = asking;
  const came = await coming(asking);
  const { person, loaded, around } = came;
  if (loaded !== null) {
    const own = await viewerComing(em, came, loaded.course, now);
    const by = visitBy(request, loaded.course.id, now);
    // Changed or taken away, the passphrase lets in nobody who came by it.
    const isVisiting = by !== null && around.passphrase !== null && by === markOf(around.passphrase);
    const viewer = isVisiting ? { ...own, passphrase: true } : own;
    if (isThereFor(loaded.course, viewer, now)) return { person, viewer, loaded, around };
  }
  // Whoever has not signed in may get it once they have.
  throw person === null ? notSignedIn() : nothingHere();
}

/** Whoever gets something of a course knows of it; so does whoever could join it, waits for it, or has been in it. */
async function knowing(asking: Asking): Promise<CourseReader> {
  const { em, now } = asking;
  const came = await coming(asking);
  const { person, loaded, around } = came;
  if (loaded !== null) {
    const { course } = loaded;
    const viewer = await viewerComing(em, came, course, now);
    const at = Date.parse(now);
    const isOut = stateAt(course, at) === 'draft';
    const knows = isThereFor(course, viewer, now) || (!isOut && (await knowsOf(em, course, person, at)));
    if (knows) return { person, viewer, loaded, around };
  }
  throw person === null ? notSignedIn() : nothingHere();
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
