/** Joining a course by its code, and leaving it. Who may is core's to say; seats stand on the database besides. */
import { CheckConstraintViolationException } from '@mikro-orm/core';
import type { JoinPageAnswer } from '@itinerary/contract';
import { courseView, planCourse } from '@itinerary/core';
import type { Course } from '@itinerary/core';
import { seatsTaken } from '@itinerary/core/people';
import type { JoinAnswer, JoinCourse } from '@itinerary/core/people';
import { announce } from '../../db/announce.ts';
import { loadCourse } from '../../db/course-rows.ts';
import { keptCourse } from '../../db/kept-courses.ts';
import { JoinCodeRow, MemberRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';
import { nothingHere } from '../nothing-here.ts';
import { PASSER_BY } from '../access/viewer.ts';
import { textReader } from '../plan/texts.ts';
import { staffOf } from '../reading/face.ts';
import { joiningByLink } from './join-facts.ts';

export async function joinPage(
  em: EntityManager,
  courseId: string,
  person: Person | null,
  now: string,
): Promise<JoinPageAnswer> {
  const loaded = await keptCourse(em, courseId);
  // A course of another institution does not exist for this person.
  if (loaded === null || (person !== null && person.institutionId !== loaded.row.institutionId)) {
    throw nothingHere();
  }
  const { course } = loaded;
  const plan = planCourse(course);
  const joining = await joiningByLink(em, plan, person, Date.parse(now));
  // Whoever has the code knows of the course, open or not: they are told what its public page tells.
  const view = courseView({ ...course, find: 'anyone', state: 'live' }, PASSER_BY, now);
  if (view === null) throw nothingHere();
  return {
    course: {
      id: course.id,
      title: course.title,
      code: course.code,
      zone: course.dates.zone,
      firstDay: plan.firstDay,
      lastDay: plan.lastDay,
      descriptionHtml: await textReader(em, view).read(view.description, null),
      outcomes: [...view.outcomes],
      madeFor: view.madeFor,
      bringAlong: view.bringAlong,
      hoursAWeek: view.hoursAWeek,
      staff: ((await staffOf(em, [courseId])).get(courseId) ?? []).map(({ name }) => name),
    },
    seatsLeft: seatsLeft(course, joining.course, Date.parse(now)),
    answer: sent(joining.answer),
  };
}

/** The fewer of the course's and the way's. */
function seatsLeft(course: Course, join: JoinCourse, at: number): number | null {
  const own = course.ways['link']?.seats ?? null;
  const left = [
    course.seats === null ? null : course.seats - seatsTaken(join, null, at),
    own === null ? null : own - seatsTaken(join, 'link', at),
  ].filter((seats) => seats !== null);
  return left.length === 0 ? null : Math.max(0, Math.min(...left));
}

function sent(answer: JoinAnswer): JoinPageAnswer['answer'] {
  if (answer.can === 'yes') return { ...answer, steps: [...answer.steps] };
  return answer.can === 'no' ? { ...answer, missing: [...answer.missing] } : answer;
}

/** Whoever is in the course already is in it: pressed twice is pressed once. */
export async function join(
  em: EntityManager,
  code: string,
  courseId: string,
  person: Person,
  now: string,
): Promise<void> {
  try {
    await em.transactional((inner) => joinUnderLock(inner, code, courseId, person, now));
  } catch (error) {
    if (error instanceof CheckConstraintViolationException && /no seat left/.test(error.message)) {
      throw cannot('full');
    }
    throw error;
  }
}

async function joinUnderLock(
  em: EntityManager,
  code: string,
  courseId: string,
  person: Person,
  now: string,
): Promise<void> {
  const loaded = await loadCourse(em, courseId, true);
  if (loaded === null || loaded.row.institutionId !== person.institutionId) throw nothingHere();
  // Made anew since it was looked up, the code is nobody's.
  if ((await em.count(JoinCodeRow, { courseId, code })) === 0) throw nothingHere();
  const { answer } = await joiningByLink(em, planCourse(loaded.course), person, Date.parse(now));
  if (answer.can === 'no' && answer.because === 'in') return;
  if (answer.can !== 'yes') throw cannot(answer.can === 'no' ? answer.because : 'full');
  const row = await em.findOne(MemberRow, { courseId, personId: person.id });
  const values = { role: 'learner' as const, leftAt: null, leftHow: null, way: 'link' as const };
  // Whoever returns joined when they first did.
  if (row === null)
    em.persist(em.create(MemberRow, { courseId, personId: person.id, joinedAt: now, ...values }));
  else em.assign(row, values);
  await em.flush();
  await announce(em, { course: courseId, seq: loaded.row.seq });
}

const WHY: Readonly<Record<Extract<JoinAnswer, { can: 'no' }>['because'], string>> = {
  absent: 'There is nothing here',
  archived: 'The course is in the archive; nobody joins it any more',
  draft: 'The course is not open yet',
  in: 'You are in this course already',
  off: 'Joining by this code is switched off',
  not_for: 'Joining by this code is not for you',
  not_yet: 'Joining by this code is not open yet',
  over: 'Joining by this code is over',
  full: 'The course has no seat left',
};

function cannot(because: keyof typeof WHY): Failure {
  return new Failure('cannot_join', WHY[because], [
    { path: 'because', value: because, expected: 'that one may join' },
  ]);
}

/** All that somebody has done is kept, and is there again when they return. */
export async function leave(
  em: EntityManager,
  courseId: string,
  person: Person | null,
  now: string,
): Promise<void> {
  await em.transactional(async (inner) => {
    const loaded = await loadCourse(inner, courseId, true);
    const row =
      person === null
        ? null
        : await inner.findOne(MemberRow, { courseId, personId: person.id, leftAt: null });
    if (loaded === null || row === null) throw nothingHere();
    if (row.role !== 'learner') {
      throw new Failure('not_allowed', 'Staff and visitors are taken off the course by its staff');
    }
    if (!loaded.course.mayLeave) {
      throw new Failure('not_allowed', 'Nobody leaves this course by themselves; ask its staff');
    }
    inner.assign(row, { leftAt: now, leftHow: 'left' });
    await announce(inner, { course: courseId, seq: loaded.row.seq });
  });
}
