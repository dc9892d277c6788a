/** How an attempt ends: handed in, or by its time; judged once, with a receipt, and counted. */
import { createHash } from 'node:crypto';
import { attemptWords, judgeAttempt, punctualAt, standingOf, toNumber } from '@itinerary/core';
import type { Course, Quiz, Viewer } from '@itinerary/core';
import { PersonRow, QuizAnswerRow, QuizAttemptRow, QuizMarkRow } from '../../../db/entities.ts';
import type { EntityManager } from '../../../db/orm.ts';
import type { QuizAnswerRecord, QuizAttemptRecord } from '../../../db/entities/quiz.ts';
import { keptCourse } from '../../../db/kept-courses.ts';
import { addJob } from '../../../db/queue.ts';
import { Failure } from '../../failure.ts';
import { viewerOf } from '../../access/viewer.ts';
import { record } from '../../progress/record.ts';
import { takenWork, windowFor } from '../taken-work.ts';
import { askedIn, attemptsOf, endOfAttempt, resultOfAttempt } from './own-quiz.ts';

interface Whose {
  readonly course: Course;
  readonly viewer: Viewer;
  /** As this person has it. */
  readonly quiz: Quiz;
}

/** In a transaction. Nothing where it has ended already. @param ended by the server’s clock */
export async function endAttempt(
  em: EntityManager,
  { course, viewer, quiz }: Whose,
  attemptId: string,
  by: 'hand' | 'time',
  ended: string,
  /** By question, the versions that whoever hands it in has seen; null: it ends with what is there. */
  seen: Readonly<Record<string, number>> | null = null,
): Promise<void> {
  await em.execute('select id from quiz_attempt where id = ? for update', [attemptId]);
  const attempt = await em.findOneOrFail(QuizAttemptRow, { id: attemptId }, { refresh: true });
  if (attempt.ended != null) return;
  const answers = await em.find(QuizAnswerRow, { attemptId });
  const questions = askedIn(quiz, attempt.asks);
  // A question that was taken out meanwhile is not before anybody any more.
  const asked = new Set(questions.map(({ id }) => id));
  if (seen !== null)
    mustBeSeen(
      answers.filter(({ questionId }) => asked.has(questionId)),
      seen,
    );
  const judged = judgeAttempt(
    questions,
    new Map(answers.map(({ questionId, answer }) => [questionId, answer])),
  );
  const isEmpty = judged.every(({ isUnanswered }) => isUnanswered);
  const window = windowFor(course, viewer, quiz, Date.parse(ended));
  const { courseId, itemId, personId, number } = attempt;
  const facts = {
    ...{ course: courseId, item: itemId, person: personId, attempt: attemptId, number, ended },
    answers: answers.map(({ questionId, answer }) => [questionId, answer] as const),
  };
  em.assign(attempt, {
    ended,
    endedBy: by === 'time' && isEmpty ? 'nothing' : by,
    isLate: punctualAt(window, Date.parse(ended)) !== 'on_time',
    judged,
    hash: createHash('sha256').update(attemptWords(facts)).digest('hex'),
  });
  await em.flush();
  // What ended by its time with nothing in it has not been handed in.
  if (attempt.endedBy !== 'nothing')
    await record(em, course, { personId, viewer }, quiz.id, { kind: 'handed_in' }, ended);
  await noteResult(em, course, { personId, viewer }, quiz, 'learner', ended);
}

/** @throws Failure `changed_elsewhere` where another window has answered what this one has not seen */
function mustBeSeen(answers: readonly QuizAnswerRecord[], seen: Readonly<Record<string, number>>): void {
  const other = answers.find(
    ({ questionId, version }) => !Object.hasOwn(seen, questionId) || seen[questionId] !== version,
  );
  if (other === undefined && answers.length === Object.keys(seen).length) return;
  throw new Failure('changed_elsewhere', 'It has been answered in another window, or on another device', [
    { path: 'answers', value: seen, expected: 'the answers that the server has' },
  ]);
}

/** What all attempts of somebody come to; a result that is not final meets nothing. */
export async function noteResult(
  em: EntityManager,
  course: Course,
  { personId, viewer }: { readonly personId: string; readonly viewer: Viewer },
  quiz: Quiz,
  by: 'learner' | 'staff',
  now: string,
): Promise<void> {
  const attempts = (await attemptsOf(em, course.id, quiz.id, personId)).filter(({ ended }) => ended != null);
  const marks = await em.find(QuizMarkRow, { attemptId: { $in: attempts.map(({ id }) => id) } });
  const { share, isFinal } = standingOf(
    attempts.map((one) =>
      resultOfAttempt(
        one,
        marks.filter(({ attemptId }) => attemptId === one.id),
        quiz.total,
      ),
    ),
    quiz,
  );
  const percent = share === null || !isFinal ? null : toNumber(share) * 100;
  // What has been final with all that is handed in, and is so no more, is a mark taken back; all else waits for one.
  const marked = viewer.deeds?.facts?.get(quiz.id)?.marks?.at ?? -Infinity;
  const isTakenBack = attempts.every(({ ended }) => Date.parse(ended ?? '') <= marked);
  if (percent === null && (by === 'learner' || !isTakenBack)) return;
  await record(em, course, { personId, viewer }, quiz.id, { kind: 'scored', percent, by }, now);
}

/** Ends it where its time is over. @returns whether it has ended, now or before */
export async function endIfOver(
  em: EntityManager,
  { course, viewer, quiz }: Whose,
  attempt: QuizAttemptRecord,
  now: string,
): Promise<boolean> {
  if (attempt.ended != null) return true;
  const window = windowFor(course, viewer, quiz, Date.parse(now));
  const end = endOfAttempt({ course, viewer }, { node: quiz, window }, attempt, now);
  if (end === null || Date.parse(now) < end) return false;
  // What is there counts as arrived just before the end.
  const ended = new Date(end - 1).toISOString();
  await em.transactional((inner) => endAttempt(inner, { course, viewer, quiz }, attempt.id, 'time', ended));
  return true;
}

/** When it ends by itself it is handed in then, though nobody looks. */
export async function endBySelf(em: EntityManager, attemptId: string, now: string): Promise<void> {
  const attempt = await em.findOne(QuizAttemptRow, { id: attemptId });
  if (attempt === null || attempt.ended != null) return;
  const kept = await keptCourse(em, attempt.courseId);
  const person = await em.findOne(PersonRow, { id: attempt.personId });
  if (kept === null || person === null) return;
  const { course } = kept;
  const viewer = await viewerOf(em, person, course, now);
  const quiz = takenWork(course, attempt.itemId, 'quiz', now);
  if (await endIfOver(em.fork(), { course, viewer, quiz }, attempt, now)) return;
  // It has more time than it had when it was begun.
  await waitForEnd(em, { course, viewer, quiz }, attempt, now);
}

export async function waitForEnd(
  em: EntityManager,
  { course, viewer, quiz }: Whose,
  attempt: Pick<QuizAttemptRecord, 'id' | 'begun'>,
  now: string,
): Promise<void> {
  const window = windowFor(course, viewer, quiz, Date.parse(now));
  const end = endOfAttempt({ course, viewer }, { node: quiz, window }, attempt, now);
  if (end === null) return;
  const afterMs = Math.max(0, end - Date.parse(now)) + 1000;
  await addJob(em, 'end_attempt', { attempt: attempt.id }, { key: `attempt ${attempt.id}`, afterMs });
}
