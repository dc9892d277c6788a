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
  byName,
} from '@itinerary/core';
import type { Course, FaceFacts, FactsByText, Term, Viewer } from '@itinerary/core';
import { coursesOnDesk } from '../../db/desk-rows.ts';
import type { OnDesk } from '../../db/desk-rows.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { faceFacts, pictureView } from '../reading/face.ts';
import { institutionTold } from '../institution/told.ts';
import { viewersBy } from '../access/viewer.ts';

export async function desk(em: EntityManager, person: Person, now: string): Promise<DeskAnswer> {
  const onDesk = await coursesOnDesk(em, person);
  const { terms, pages } = await institutionTold(em, person.institutionId);
  const termOf = (code: string | null): Term | null => terms.find((term) => term.code === code) ?? null;
  const courses = onDesk.map(({ kept }) => kept.course);
  const own = new Map(onDesk.map((one) => [one.kept.row.id, one.own]));
  const viewerOf = await viewersBy(em, person, courses, own, now);
  const isThereFor = ({ kept: { course } }: OnDesk): boolean =>
    isThere(resolveAccess(course, viewerOf(course.id), now).course);
  const seen = onDesk.filter(isThereFor);
  // Whoever is in it has it before them; so has staff of the institution.
  const isTheirs = (one: OnDesk): boolean => person.kind === 'staff' || one.own.member !== null;
  const entries = seen.filter(isTheirs).map(({ kept: { course }, learners, texts, staff }) =>
    entry(course, viewerOf(course.id), {
      ...{ learners, texts, now },
      term: termOf(course.term),
      face: faceFacts({ pages, staff }),
    }),
  );
  const found = seen.filter((one) => !isTheirs(one)).map(({ kept }) => foundAs(kept.course));
  return {
    courses: entries.sort(byFirstDay),
    found: found.sort((a, b) => byName(a.title, b.title) || byName(a.code, b.code)),
  };
}

/** A course of the institution that they are not in and can find. */
function foundAs(course: Course): DeskAnswer['found'][number] {
  const { firstDay, lastDay } = planCourse(course);
  return { id: course.id, code: course.code, title: course.title, firstDay, lastDay, ...faceOf(course) };
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
  readonly texts: FactsByText;
  readonly now: string;
}

function entry(course: Course, viewer: Viewer, { learners, term, texts, face, now }: DeskFacts): DeskCourse {
  const plan = planCourse(course);
  const staff = mayPlan(viewer);
  const asked = staff && course.state !== 'archived';
  const found = asked ? findings(course, { moment: now, learners, term, face, texts }, plan) : [];
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
