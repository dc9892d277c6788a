/** Asking to join, and what staff say to it. */
import type { Decide, DecidedAnswer } from '@itinerary/contract';
import { canJoin, wayIn, wayOf } from '@itinerary/core/people';
import { byTurn } from '../../db/locks.ts';
import { announce } from '../../db/announce.ts';
import type { KeptCourse } from '../../db/kept-courses.ts';
import { JoinRequestRow, LetterRow, MemberRow, PersonRow } from '../../db/entities.ts';
import type { JoinRequestRecord, Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';
import { post } from '../mail/post.ts';
import { openForMembers } from '../members/lists/take-list.ts';
import { EMPTY_HANDED, joiningOf, planOf } from './join-facts.ts';
import { factsOf, moveUp } from './line.ts';
import { seat, waitFor } from './seating.ts';

const HOUR_MS = 3_600_000;

/** Asked twice, it is asked once; asked again after a no, it is asked anew. Each instructor is told. */
export async function askToJoin(
  em: EntityManager,
  { course, row }: KeptCourse,
  person: Person,
  answer: string | null,
  now: string,
): Promise<void> {
  const courseId = course.id;
  const plan = planOf(course);
  const { question } = wayIn(plan, 'request');
  if (question !== null && answer === null) {
    throw new Failure('bad_input', 'In the body: answer', [
      { path: 'answer', value: answer, expected: `an answer to “${question}”` },
    ]);
  }
  const before = await em.findOne(JoinRequestRow, { courseId, personId: person.id });
  if (before?.state === 'open') return;
  const asked = {
    question,
    answer: question === null ? null : answer,
    askedAt: now,
    state: 'open' as const,
    reason: null,
    decidedAt: null,
    decidedBy: null,
  };
  if (before === null) em.persist(em.create(JoinRequestRow, { courseId, personId: person.id, ...asked }));
  else em.assign(before, asked);
  await em.flush();
  // Taken back and asked again, it is no letter more: nobody fills others' letter boxes by it.
  const lately = new Date(Date.parse(now) - HOUR_MS).toISOString();
  const told = { courseId, kind: 'asked' as const, about: person.id, madeAt: { $gt: lately } };
  const isTold = before === null && (await em.count(LetterRow, told)) > 0;
  for (const one of isTold ? [] : await instructorsOf(em, courseId)) {
    const facts = {
      ...factsOf(course),
      by: person.name,
      path: `/setup/${courseId}/members`,
      ...(question === null || answer === null ? {} : { question, answer }),
    };
    const letter = {
      kind: 'asked' as const,
      address: one.address ?? '',
      lang: one.lang,
      facts,
      courseId,
      about: person.id,
    };
    await post(em, { ...letter, institutionId: row.institutionId }, now);
  }
  await announce(em, { course: courseId, seq: row.seq });
}

async function instructorsOf(em: EntityManager, courseId: string): Promise<readonly Person[]> {
  const rows = await em.find(MemberRow, { courseId, role: 'instructor', leftAt: null });
  return em.find(PersonRow, { id: { $in: rows.map(({ personId }) => personId) }, placeIn: null });
}

/**
 * One by one in the order in which they asked, so that seats go to whoever asked first. Whoever has been answered
 * already is answered.
 *
 * @returns who has not come in although they were told yes: their requests stay open
 */
export async function decideRequests(
  em: EntityManager,
  courseId: string,
  by: Person,
  decision: Decide,
  now: string,
): Promise<DecidedAnswer['stopped']> {
  return byTurn(em, courseId, async (inner) => {
    const loaded = await openForMembers(inner, courseId);
    await moveUp(inner, loaded, now);
    const requests = await inner.find(
      JoinRequestRow,
      { courseId, personId: { $in: [...decision.people] }, state: 'open' },
      { orderBy: { askedAt: 'asc', personId: 'asc' } },
    );
    const people = await inner.find(PersonRow, { id: { $in: requests.map(({ personId }) => personId) } });
    const stopped: { person: string; because: string }[] = [];
    for (const request of requests) {
      const person = people.find(({ id }) => id === request.personId) as Person;
      const because =
        decision.say === 'yes'
          ? await accept(inner, loaded, person, now)
          : await refuse(inner, loaded, person, decision.reason, now);
      if (because === null) decided(request, decision, by, now);
      else stopped.push({ person: person.id, because });
      await inner.flush();
    }
    await announce(inner, { course: courseId, seq: loaded.row.seq });
    return stopped;
  });
}

function decided(request: JoinRequestRecord, decision: Decide, by: Person, now: string): void {
  Object.assign(request, {
    state: decision.say,
    reason: decision.say === 'no' ? decision.reason : null,
    decidedAt: now,
    decidedBy: by.id,
  });
}

/** @returns why not; null: they are in, or in the line */
async function accept(
  em: EntityManager,
  { course, row }: KeptCourse,
  person: Person,
  now: string,
): Promise<string | null> {
  const plan = planOf(course);
  const at = Date.parse(now);
  const joining = await joiningOf(em, plan, person, EMPTY_HANDED, at);
  const way = wayOf(plan, 'request');
  // What was asked in time is answered in time, though the window has closed since.
  const answer = canJoin(
    joining.course,
    joining.joiner,
    { ...way, window: { opens: null, closes: null } },
    at,
  );
  if (answer.can === 'no' && answer.because !== 'in') return answer.because;
  if (answer.can === 'yes') await seat(em, course, person, 'request', EMPTY_HANDED, now);
  if (answer.can === 'wait') await waitFor(em, course.id, person, 'request', answer, now);
  const waits = answer.can === 'wait';
  const path = waits ? `/join/to/${course.id}` : `/courses/${course.id}`;
  const letter = {
    kind: waits ? ('in_line' as const) : ('accepted' as const),
    lang: person.lang,
    courseId: course.id,
  };
  const facts = { ...factsOf(course), path };
  await post(em, { ...letter, address: person.address ?? '', facts, institutionId: row.institutionId }, now);
  return null;
}

async function refuse(
  em: EntityManager,
  { course, row }: KeptCourse,
  person: Person,
  reason: string,
  now: string,
): Promise<null> {
  const facts = { ...factsOf(course), reason, path: `/join/to/${course.id}` };
  const letter = { kind: 'refused' as const, address: person.address ?? '', lang: person.lang, facts };
  await post(em, { ...letter, courseId: course.id, institutionId: row.institutionId }, now);
  return null;
}
