/** One's courses: those one is a member of and may see; for institution staff, all of them. */
import type { DeskAnswer, DeskCourse } from '@itinerary/contract';
import {
  courseView,
  datedThings,
  findings,
  isBlocker,
  isThere,
  mayPlan,
  planCourse,
  resolveAccess,
  stateAt,
} from '@itinerary/core';
import type { Course, FaceFacts, FactsByText, Term, Viewer } from '@itinerary/core';
import { coursesWhere } from '../../db/kept-courses.ts';
import type { Person } from '../../db/entities.ts';
import { MemberRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { pictureView, staffOf } from '../reading/face.ts';
import { institutionPages } from '../institution/institution-pages.ts';
import { termsOf } from './terms.ts';
import { factsOfCourses } from '../plan/texts.ts';
import { viewersOf } from '../access/viewer.ts';

export async function desk(em: EntityManager, person: Person, now: string): Promise<DeskAnswer> {
  const own = await em.find(MemberRow, { personId: person.id, leftAt: null });
  const roles = new Map(own.map(({ courseId, role }) => [courseId, role]));
  const where =
    person.kind === 'staff' ? { institutionId: person.institutionId } : { id: { $in: [...roles.keys()] } };
  const courses = await coursesWhere(em, where);
  const ids = courses.map(({ id }) => id);
  const learners = await learnerCounts(em, courses);
  const terms = await termsOf(em, person.institutionId);
  const texts = await factsOfCourses(em, ids);
  const pages = await institutionPages(em, person.institutionId);
  const staff = await staffOf(em, ids);
  const viewerOf = await viewersOf(em, person, courses, now);
  const entries = courses.flatMap((course): DeskCourse[] => {
    const viewer = viewerOf(course.id);
    if (!isThere(resolveAccess(course, viewer, now).course)) return [];
    const facts = {
      learners: learners.get(course.id) ?? 0,
      term: terms(course.term),
      texts: texts.get(course.id),
      face: { pages, staff: staff.get(course.id) ?? [] },
      now,
    };
    return [entry(course, viewer, facts)];
  });
  return { courses: entries.sort(byFirstDay), found: await found(em, person, ids, now) };
}

/** Courses of the institution that they are not in and can find; its staff have all of them before them anyway. */
async function found(
  em: EntityManager,
  person: Person,
  own: readonly string[],
  now: string,
): Promise<DeskAnswer['found']> {
  if (person.kind === 'staff') return [];
  const named = await em
    .getConnection()
    .execute<{ id: string }[]>(
      `select id from course where institution_id = ? and settings ->> 'find' in ('here', 'anyone')`,
      [person.institutionId],
    );
  const others = named.map(({ id }) => id).filter((id) => !own.includes(id));
  if (others.length === 0) return [];
  const courses = await coursesWhere(em, { id: { $in: others } });
  const viewerOf = await viewersOf(em, person, courses, now);
  return courses
    .filter((course) => isThere(resolveAccess(course, viewerOf(course.id), now).course))
    .map((course) => {
      const { firstDay, lastDay } = planCourse(course);
      return { id: course.id, code: course.code, title: course.title, firstDay, lastDay, ...faceOf(course) };
    })
    .sort((a, b) => a.title.localeCompare(b.title) || a.code.localeCompare(b.code));
}

/** By what somebody recognises a course in a list. */
function faceOf(course: Course): Pick<DeskCourse, 'picture' | 'seed'> {
  const shown = pictureView(course.thumbnail ?? course.banner);
  const picture = shown === null ? null : { version: shown.version, alt: shown.alt };
  return { picture, seed: course.look.seed };
}

interface DeskFacts {
  readonly face: FaceFacts;
  readonly learners: number;
  readonly term: Term | null;
  readonly texts: FactsByText | undefined;
  readonly now: string;
}

function entry(course: Course, viewer: Viewer, { learners, term, texts, face, now }: DeskFacts): DeskCourse {
  const plan = planCourse(course);
  const staff = mayPlan(viewer);
  const asked = staff && course.state !== 'archived';
  const found = asked
    ? findings(course, { moment: now, learners, term, face, ...(texts === undefined ? {} : { texts }) }, plan)
    : [];
  const blockers = found.filter(isBlocker).length;
  return {
    id: course.id,
    code: course.code,
    title: course.title,
    state: stateAt(course, Date.parse(now)),
    department: course.department,
    term: course.term,
    tags: course.tags,
    format: course.dates.format,
    pace: course.dates.pace,
    slots: plan.slots.length,
    firstDay: plan.firstDay,
    lastDay: plan.lastDay,
    role: viewer.role,
    mayPlan: staff,
    toSettle: staff ? { blockers, advice: found.length - blockers } : null,
    learners: staff ? learners : null,
    next: nextFor(course, viewer, now),
    ...faceOf(course),
  };
}

/** Of those who learn there: the first of what is still ahead. */
function nextFor(course: Course, viewer: Viewer, now: string): DeskCourse['next'] {
  if (viewer.role !== 'learner' || course.state === 'archived') return null;
  const view = courseView(course, viewer, now);
  const at = Date.parse(now);
  const ahead = view === null ? [] : datedThings(view);
  return ahead.find(({ moment }) => Date.parse(moment.instant) >= at) ?? null;
}

/** What is running or coming first, archived last; then by first day and code. */
function byFirstDay(a: DeskCourse, b: DeskCourse): number {
  const rank = (course: DeskCourse): string =>
    `${course.state === 'archived' ? 1 : 0} ${course.firstDay ?? '9999'} ${course.code}`;
  return rank(a) < rank(b) ? -1 : 1;
}

async function learnerCounts(
  em: EntityManager,
  courses: readonly Course[],
): Promise<ReadonlyMap<string, number>> {
  const members = await em.find(
    MemberRow,
    { courseId: { $in: courses.map(({ id }) => id) }, role: 'learner', leftAt: null },
    { fields: ['courseId', 'personId'] },
  );
  const counts = new Map<string, number>();
  for (const { courseId } of members) counts.set(courseId, (counts.get(courseId) ?? 0) + 1);
  return counts;
}
