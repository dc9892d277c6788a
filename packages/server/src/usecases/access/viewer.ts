/** Somebody in front of a course: from their row, their membership, and all that they have of their own. */
import { coursesNamed, withFacts } from '@itinerary/core';
import type { Course, PersonException, Role, Viewer } from '@itinerary/core';
import { ownRowsIn } from '../../db/coming.ts';
import type { Coming, ExceptionRecord, OwnRows } from '../../db/coming.ts';
import { coursesOf } from '../../db/desk-rows.ts';
import { coursesWhere } from '../../db/kept-courses.ts';
import { MemberRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';

/** Somebody who is not signed in. */
export const PASSER_BY: Viewer = { role: null, institutionStaff: false };

/** One person before several courses of their institution, in as many questions as before one. */
export async function viewersOf(
  em: EntityManager,
  person: Person | null,
  courses: readonly Course[],
  now: string,
): Promise<(courseId: string) => Viewer> {
  if (person === null) return () => PASSER_BY;
  const own = await ownRowsIn(
    em,
    person.id,
    courses.map(({ id }) => id),
  );
  return viewersBy(em, person, courses, own, now);
}

/** Somebody before each of the courses that they are in, of those that are wanted. */
export async function coursesAndViewers(
  em: EntityManager,
  person: Person,
  now: string,
  isWanted: (course: Course, role: Role) => boolean = () => true,
): Promise<readonly { readonly course: Course; readonly viewer: Viewer }[]> {
  const all = await coursesOf(em, person.id);
  const courses = all.flatMap(({ kept: { course }, own: { member } }) =>
    member !== null && isWanted(course, member.role) ? [course] : [],
  );
  const own = new Map(all.map((one) => [one.kept.row.id, one.own]));
  const viewerIn = await viewersBy(em, person, courses, own, now);
  return courses.map((course) => ({ course, viewer: viewerIn(course.id) }));
}

/** One person before courses, by what they have of their own in each. */
export async function viewersBy(
  em: EntityManager,
  person: Person,
  courses: readonly Course[],
  own: ReadonlyMap<string, OwnRows>,
  now: string,
): Promise<(courseId: string) => Viewer> {
  const learning = courses.filter(({ id }) => own.get(id)?.member?.role === 'learner');
  const completed = await completedBy(em, person, learning, now);
  const viewers = new Map(
    courses.flatMap((course): [string, Viewer][] => {
      const theirs = own.get(course.id);
      return theirs === undefined ? [] : [[course.id, viewerBy(person, course, theirs, completed, now)]];
    }),
  );
  return (courseId) => viewers.get(courseId) ?? viewerOutside(person);
}

const viewerOutside = ({ kind }: Person): Viewer => ({
  ...{ role: null, institutionStaff: kind === 'staff', here: true },
});

/** Somebody before a course, by what they have of their own in it. */
function viewerBy(
  person: Person,
  course: Course,
  { member, groups, exceptions, facts, reached }: OwnRows,
  completed: ReadonlySet<string>,
  now: string,
): Viewer {
  const outside = viewerOutside(person);
  if (member === null) return outside;
  const { role, joinedAt } = member;
  // Nobody but a learner has any of it, whatever they had before.
  if (role !== 'learner') return { ...outside, role, joinedAt, groups: [], exceptions: [] };
  const viewer: Viewer = { ...outside, role, joinedAt, groups, exceptions: exceptions.map(exceptionOf) };
  return withFacts(course, viewer, facts, completed, Date.parse(now), reached);
}

/** Whoever came to a course, before it. */
export async function viewerComing(
  em: EntityManager,
  { person, own }: Pick<Coming, 'person' | 'own'>,
  course: Course,
  now: string,
): Promise<Viewer> {
  if (person === null) return PASSER_BY;
  const isLearner = own.member?.role === 'learner';
  const completed = isLearner ? await completedBy(em, person, [course], now) : new Set<string>();
  return viewerBy(person, course, own, completed, now);
}

export async function viewerOf(
  em: EntityManager,
  person: Person | null,
  course: Course,
  now: string,
): Promise<Viewer> {
  return (await viewersOf(em, person, [course], now))(course.id);
}

export function exceptionOf({ nodeId, opens, due, until, factor, at }: ExceptionRecord): PersonException {
  const moments = { opens: opens ?? null, due: due ?? null, until: until ?? null };
  return { node: nodeId, ...moments, factor: factor ?? null, at };
}

/** Other courses that the rules of these name, of which this person has done all that counts. */
async function completedBy(
  em: EntityManager,
  person: Person,
  courses: readonly Course[],
  now: string,
): Promise<ReadonlySet<string>> {
  const named = new Set(courses.flatMap(coursesNamed));
  return completedAmong(em, person, named, now);
}

/** Of these courses of the institution, those of which this person has done all that counts. */
export async function completedAmong(
  em: EntityManager,
  person: Person,
  named: ReadonlySet<string>,
  now: string,
): Promise<ReadonlySet<string>> {
  if (named.size === 0) return named;
  const own = await ownRowsIn(em, person.id, [...named]);
  const learnt = [...own].filter(([, { was }]) => was?.role === 'learner').map(([id]) => id);
  if (learnt.length === 0) return new Set();
  const others = await coursesWhere(em, { id: { $in: learnt }, institutionId: person.institutionId });
  const isDone = (other: Course): boolean => {
    const { was, groups, facts, reached } = own.get(other.id) as OwnRows;
    const joinedAt = was?.joinedAt ?? null;
    const viewer: Viewer = { ...{ role: 'learner', institutionStaff: false }, groups, joinedAt };
    const known = withFacts(other, viewer, facts, new Set(), Date.parse(now), reached);
    return known.deeds?.reached?.has(other.id) === true;
  };
  return new Set(others.filter(isDone).map(({ id }) => id));
}

export function mayCreateCourses(person: Person): boolean {
  return person.kind === 'teaching' || person.kind === 'staff';
}

/** Whoever may open courses, or plans one that somebody else has opened. */
export async function plansSomething(em: EntityManager, person: Person): Promise<boolean> {
  if (mayCreateCourses(person)) return true;
  const role = { $in: ['instructor', 'assistant'] as const };
  return (await em.count(MemberRow, { personId: person.id, leftAt: null, role })) > 0;
}
