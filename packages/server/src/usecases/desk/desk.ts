/** One's courses, a page of them: those one is in and may see; for institution staff, all of them. */
import { DESK_ROWS } from '@itinerary/contract';
import type { DeskAnswer, DeskCourse, DeskQuery } from '@itinerary/contract';
import {
  courseView,
  datedThings,
  isThere,
  mayPlan,
  planFor,
  resolveAccess,
  slotCount,
  stateAt,
  byName,
} from '@itinerary/core';
import type { Course, Term, Viewer } from '@itinerary/core';
import { coursesFor, deskPage } from '../../db/desk-rows.ts';
import type { CourseOf } from '../../db/desk-rows.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { faceFacts, pictureView } from '../reading/face.ts';
import { PASSER_BY, viewersBy } from '../access/viewer.ts';
import { inPieces } from '../../lanes/give-way.ts';
import { toSettle } from './to-settle.ts';
import type { Settling } from './to-settle.ts';

/** That they are not in and can find: no more are told of at once. */
const MOST_FOUND = 50;

export async function desk(
  em: EntityManager,
  person: Person,
  query: DeskQuery,
  now: string,
): Promise<DeskAnswer> {
  const at = Date.parse(now);
  const { find = '', page = 1 } = query;
  const words = find.split(/\s+/).filter(Boolean);
  // Staff of the institution have all of it; of everybody else's own, core says which are there for them.
  const theirs = person.kind === 'staff' ? null : await thereFor(em, person, words, now);
  const only = theirs?.ids ?? null;
  const { term = null, state = null, tag = null } = query;
  const asked = { person, only, at, words, term, state, tag, page, rows: DESK_ROWS };
  const { courses, terms, pages, ...around } = await deskPage(em, asked);
  const viewerOf = await viewersIn(em, person, courses, now);
  const termOf = (code: string | null): Term | null => terms.find((one) => one.code === code) ?? null;
  // What is in the archive is settled.
  const planned = courses.flatMap(({ kept: { course }, learners, staff }): Settling[] => {
    if (!mayPlan(viewerOf(course.id)) || course.state === 'archived') return [];
    return [{ course, learners, term: termOf(course.term), face: faceFacts({ pages, staff }) }];
  });
  const counts = await toSettle(em, planned, now);
  return {
    ...around,
    courses: await inPieces(courses, ({ kept: { course }, learners }) =>
      entry(course, viewerOf(course.id), { learners, counts: counts.get(course.id) ?? SETTLED, now }),
    ),
    found: theirs?.found ?? [],
    moreFound: theirs?.moreFound ?? false,
  };
}

const viewersIn = (
  em: EntityManager,
  person: Person,
  all: readonly CourseOf[],
  now: string,
): Promise<(courseId: string) => Viewer> =>
  viewersBy(
    em,
    person,
    all.map(({ kept }) => kept.course),
    new Map(all.map(({ kept, own }) => [kept.row.id, own])),
    now,
  );

/** Of the courses that somebody is in, and of those that they can find, the ones that are there for them. */
async function thereFor(
  em: EntityManager,
  person: Person,
  words: readonly string[],
  now: string,
): Promise<{ readonly ids: readonly string[] } & Pick<DeskAnswer, 'found' | 'moreFound'>> {
  const { courses, found, unread } = await coursesFor(em, person, words, MOST_FOUND + 1);
  const viewerOf = await viewersIn(em, person, [...courses, ...found], now);
  const thereOf = async (of: readonly CourseOf[]): Promise<readonly CourseOf[]> => {
    const is = await inPieces(of, ({ kept: { course } }) =>
      isThere(resolveAccess(course, viewerOf(course.id), now).course),
    );
    return of.filter((_one, at) => is[at]);
  };
  return {
    ids: [...(await thereOf(courses)).map(({ kept }) => kept.row.id), ...unread],
    found: (await thereOf(found.slice(0, MOST_FOUND)))
      .map(({ kept }) => foundAs(kept.course))
      .sort((a, b) => byName(a.title, b.title) || byName(a.code, b.code)),
    moreFound: found.length > MOST_FOUND,
  };
}

/** A course of the institution that they are not in and can find. */
function foundAs(course: Course): DeskAnswer['found'][number] {
  const { firstDay, lastDay } = planFor(course, PASSER_BY);
  return { id: course.id, code: course.code, title: course.title, firstDay, lastDay, ...faceOf(course) };
}

/** By what somebody recognises a course in a list. */
function faceOf(course: Course): Pick<DeskCourse, 'picture' | 'seed'> {
  const shown = pictureView(course.thumbnail ?? course.banner);
  const picture = shown === null ? null : { version: shown.version, alt: shown.alt };
  return { picture, seed: course.look.seed };
}

interface DeskFacts {
  readonly learners: number;
  readonly counts: NonNullable<DeskCourse['toSettle']>;
  readonly now: string;
}

const SETTLED: DeskFacts['counts'] = { blockers: 0, advice: 0 };

function entry(course: Course, viewer: Viewer, { learners, counts, now }: DeskFacts): DeskCourse {
  const plan = planFor(course, PASSER_BY);
  const staff = mayPlan(viewer);
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
    slots: slotCount(plan) ?? 0,
    firstDay: plan.firstDay,
    lastDay: plan.lastDay,
    role: viewer.role,
    mayPlan: staff,
    toSettle: staff ? counts : null,
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
