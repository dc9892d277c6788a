/** Somebody in front of a course: from their row, their membership, and all that they have of their own. */
import { coursesNamed, withFacts } from '@itinerary/core';
import type { Course, Facts, PersonException, Reached, Viewer } from '@itinerary/core';
import type { Coming, ExceptionRecord, OwnRows } from '../../db/coming.ts';
import { coursesWhere } from '../../db/kept-courses.ts';
import { MemberGroupRow, MemberRow, PersonExceptionRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import { groupBy } from '../../db/group-by.ts';
import type { EntityManager } from '../../db/orm.ts';

/** Somebody who is not signed in. */
export const PASSER_BY: Viewer = { role: null, institutionStaff: false };

type Turn = <Answer>(ask: () => Promise<Answer>) => Promise<Answer>;
const atOnce: Turn = (ask) => ask();

function oneByOne(): Turn {
  let last: Promise<unknown> = Promise.resolve();
  return (ask) => {
    const mine = last.then(ask);
    // The next waits for it, whatever becomes of it.
    last = mine.catch(() => undefined);
    return mine;
  };
}

/** One person before several courses of their institution, in as many questions as before one. */
export async function viewersOf(
  em: EntityManager,
  person: Person | null,
  courses: readonly Course[],
  now: string,
): Promise<(courseId: string) => Viewer> {
  if (person === null) return () => PASSER_BY;
  const ids = courses.map(({ id }) => id);
  const where = { courseId: { $in: ids }, personId: person.id };
  // In a transaction there is one connection, which answers one question after the other.
  const turn = em.isInTransaction() ? oneByOne() : atOnce;
  const [rows, groups, exceptions, deeds] = await Promise.all([
    turn(() => em.find(MemberRow, { ...where, leftAt: null })),
    turn(() => em.find(MemberGroupRow, where)),
    turn(() => em.find(PersonExceptionRow, where)),
    turn(() => doneIn(em, person.id, ids)),
  ]);
  const learning = new Set(rows.filter(({ role }) => role === 'learner').map(({ courseId }) => courseId));
  const completed = await completedBy(
    em,
    person,
    courses.filter(({ id }) => learning.has(id)),
    now,
  );
  const byId = new Map(courses.map((course) => [course.id, course]));
  const of = <T extends { readonly courseId: string }>(all: readonly T[], id: string): readonly T[] =>
    all.filter(({ courseId }) => courseId === id);
  const viewers = new Map(
    rows.map((member): [string, Viewer] => {
      const { courseId } = member;
      const own = {
        member,
        groups: of(groups, courseId).map(({ groupId }) => groupId),
        exceptions: of(exceptions, courseId),
        ...deeds(courseId),
      };
      return [courseId, viewerBy(person, byId.get(courseId) as Course, own, completed, now)];
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

interface DoneIn {
  readonly facts: ReadonlyMap<string, Facts>;
  readonly reached: ReadonlyMap<string, Reached>;
}

/** What somebody has done in each of these courses, and what they were done with when the last deed came: one question. */
async function doneIn(
  em: EntityManager,
  personId: string,
  courses: readonly string[],
): Promise<(courseId: string) => DoneIn> {
  const rows = await em.execute<
    {
      course: string;
      item: string | null;
      facts: Facts | null;
      reached: Readonly<Record<string, Reached>> | null;
    }[]
  >(
    `select course_id as course, item_id as item, facts, null::jsonb as reached from deed
       where person_id = ? and course_id in (select jsonb_array_elements_text(?::jsonb))
     union all
     select course_id, null, null, reached from progress
       where person_id = ? and course_id in (select jsonb_array_elements_text(?::jsonb))`,
    [personId, JSON.stringify(courses), personId, JSON.stringify(courses)],
  );
  const byCourse = groupBy(rows, ({ course }) => course);
  return (courseId) => {
    const own = byCourse.get(courseId) ?? [];
    return {
      facts: new Map(
        own.flatMap(({ item, facts }) => (item === null || facts === null ? [] : [[item, facts]])),
      ),
      reached: new Map(own.flatMap(({ reached }) => Object.entries(reached ?? {}))),
    };
  };
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
  const member = await em.find(MemberRow, {
    courseId: { $in: [...named] },
    personId: person.id,
    role: 'learner',
  });
  const others = await coursesWhere(em, {
    id: { $in: member.map(({ courseId }) => courseId) },
    institutionId: person.institutionId,
  });
  const ids = others.map(({ id }) => id);
  const deeds = await doneIn(em, person.id, ids);
  const groups = await em.find(MemberGroupRow, { courseId: { $in: ids }, personId: person.id });
  const isDone = (other: Course): boolean => {
    const viewer: Viewer = {
      ...{ role: 'learner', institutionStaff: false },
      groups: groups.filter(({ courseId }) => courseId === other.id).map(({ groupId }) => groupId),
      joinedAt: member.find(({ courseId }) => courseId === other.id)?.joinedAt ?? null,
    };
    const { facts, reached } = deeds(other.id);
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

export async function countLearners(em: EntityManager, courseId: string): Promise<number> {
  return em.count(MemberRow, { courseId, role: 'learner', leftAt: null });
}

/** Learners who have no account yet. */
export async function countPlaces(em: EntityManager, courseId: string): Promise<number> {
  const [row] = await em.execute<{ count: number }[]>(
    `select count(*)::int as count from member join person on person.id = member.person_id
     where course_id = ? and role = 'learner' and left_at is null and place_in is not null`,
    [courseId],
  );
  return row?.count ?? 0;
}

/** Learners in each group and class, by its id. */
export async function groupSizes(
  em: EntityManager,
  courseId: string,
): Promise<Readonly<Record<string, number>>> {
  const rows = await em.execute<{ id: string; count: number }[]>(
    `select group_id as id, count(*)::int as count from member_group join member using (course_id, person_id)
     where course_id = ? and role = 'learner' and left_at is null group by group_id`,
    [courseId],
  );
  return Object.fromEntries(rows.map(({ id, count }) => [id, count]));
}
