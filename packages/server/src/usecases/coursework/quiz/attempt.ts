/** Beginning an attempt, answering in it, and handing it in. */
import type { KeptAnswer, QuizAnswer } from '@itinerary/contract';
import { beginFault, drawn, judgeAttempt, renamed, unnamed, worthOf } from '@itinerary/core';
import type { AskedQuestion, BeginFault, Quiz } from '@itinerary/core';
import { QuizAnswerRow, QuizAttemptRow } from '../../../db/entities.ts';
import type { EntityManager } from '../../../db/orm.ts';
import type { QuizAnswerRecord, QuizAttemptRecord } from '../../../db/entities/quiz.ts';
import { Failure } from '../../failure.ts';
import { nothingHere } from '../../nothing-here.ts';
import { lockWork, notNow } from '../draft.ts';
import { refused } from '../hand-in.ts';
import type { Worker } from '../own-work.ts';
import { workFor } from '../taken-work.ts';
import type { OwnWork } from '../taken-work.ts';
import { endAttempt, endIfOver, waitForEnd } from './end.ts';
import { askedIn, attemptsOf } from './own-quiz.ts';
import { namingFor } from './naming.ts';

interface Answering extends OwnWork<Quiz> {
  readonly personId: string;
}

/** A learner; whether it is open to them now, each act says for itself. */
function mustAnswer({ course, viewer, personId }: Worker, itemId: string, now: string): Answering {
  const own = workFor(course, viewer, itemId, 'quiz', now);
  if (viewer.role !== 'learner' || personId === null) throw notNow();
  return { ...own, personId };
}

/** Ends what is over by now, so that it is never found under way. */
export async function settle(em: EntityManager, worker: Worker, itemId: string, now: string): Promise<void> {
  const { course, viewer, personId } = worker;
  if (viewer.role !== 'learner' || personId === null) return;
  const quiz = workFor(course, viewer, itemId, 'quiz', now).node;
  const open = await em.findOne(QuizAttemptRow, { courseId: course.id, itemId, personId, ended: null });
  if (open !== null) await endIfOver(em.fork(), { course, viewer, quiz }, open, now);
}

const BEGIN_SENTENCES: Readonly<Record<BeginFault['code'], string>> = {
  over: 'It is too late: nothing is taken any more',
  under_way: 'An attempt is under way already',
  no_questions: 'There are no questions in it yet',
  no_tries: 'It has been taken as often as it may be',
  wait: 'Some time has to pass after the last attempt',
};

export async function beginAttempt(
  em: EntityManager,
  worker: Worker,
  itemId: string,
  id: string,
  now: string,
): Promise<void> {
  const { course, viewer } = worker;
  const { node: quiz, window, mayWork, personId } = mustAnswer(worker, itemId, now);
  const courseId = course.id;
  await settle(em.fork(), worker, itemId, now);
  await em.transactional(async (inner) => {
    await lockWork(inner, courseId, personId, itemId);
    const before = await inner.findOne(QuizAttemptRow, { id });
    // Sent again: it has been begun, when it was.
    if (before !== null) {
      if (before.personId === personId && before.courseId === courseId && before.itemId === itemId) return;
      throw refused('known', 'That is another attempt', 'an id of its own');
    }
    if (!mayWork) throw notNow();
    const attempts = await attemptsOf(inner, courseId, itemId, personId);
    const fault = beginFault(
      { tries: quiz.tries, wait: quiz.wait, asked: worthOf(quiz).asked },
      attempts.map(({ ended }) => ({ ended: ended == null ? null : Date.parse(ended) })),
      window,
      Date.parse(now),
    );
    if (fault !== null) {
      const expected =
        fault.code === 'wait' ? `not before ${new Date(fault.from).toISOString()}` : 'what the quiz takes';
      throw refused(fault.code, BEGIN_SENTENCES[fault.code], expected);
    }
    const attempt = inner.create(QuizAttemptRow, {
      id,
      courseId,
      itemId,
      personId,
      number: attempts.length + 1,
      begun: now,
      asks: drawn(quiz, id),
      isLate: false,
    });
    inner.persist(attempt);
    await inner.flush();
    await waitForEnd(inner, { course, viewer, quiz }, attempt, now);
  });
}

interface Place {
  readonly itemId: string;
  readonly attemptId: string;
  readonly questionId: string;
}

/** One's own, at this item. */
async function ownAttempt(
  em: EntityManager,
  worker: Worker,
  { itemId, attemptId }: Pick<Place, 'itemId' | 'attemptId'>,
): Promise<QuizAttemptRecord> {
  const { course, personId } = worker;
  const attempt = await em.findOne(QuizAttemptRow, { id: attemptId, courseId: course.id, itemId });
  if (attempt === null || personId === null || attempt.personId !== personId) throw nothingHere();
  return attempt;
}

const MOST_LATE = 200;
const over = (): Failure =>
  refused('over', 'The attempt has ended: this answer does not count', 'an answer before its end');

function askedOf(quiz: Quiz, attempt: QuizAttemptRecord, questionId: string): AskedQuestion {
  const question = askedIn(quiz, attempt.asks).find(({ id }) => id === questionId);
  if (question === undefined) throw nothingHere();
  return question;
}

/**
 * @throws Failure `cannot_hand_in` once it has ended (the answer is kept apart then), `changed_elsewhere` where another
 * window has answered meanwhile or what is right has been shown, `bad_input` for an answer of another kind
 */
export async function putAnswer(
  em: EntityManager,
  worker: Worker,
  { itemId, attemptId, questionId }: Place,
  { version, answer }: { readonly version: number; readonly answer: QuizAnswer },
  secret: string,
  now: string,
): Promise<KeptAnswer> {
  const { course, viewer } = worker;
  const { node: quiz, mayWork } = mustAnswer(worker, itemId, now);
  const attempt = await ownAttempt(em, worker, { itemId, attemptId });
  const question = askedOf(quiz, attempt, questionId);
  if (question.kind !== answer.kind) {
    throw new Failure('bad_input', 'That is no answer to this question', [
      { path: 'answer.kind', value: answer.kind, expected: question.kind },
    ]);
  }
  const naming = namingFor(secret, attemptId, questionId);
  const kept = JSON.stringify(renamed(answer, unnamed(question, naming)));
  if (await endIfOver(em.fork(), { course, viewer, quiz }, attempt, now)) {
    await em.execute(
      `insert into quiz_late_answer (attempt_id, question_id, answer, at) select ?::text, ?::text, ?::jsonb, ?::text
         where (select count(*) from quiz_late_answer where attempt_id = ?) < ? on conflict do nothing`,
      [attemptId, questionId, kept, now, attemptId, MOST_LATE],
    );
    throw over();
  }
  if (!mayWork) throw notNow();
  // One statement, one commit: the attempt cannot end between the look and the writing.
  const written = await em.execute<{ version: number }[]>(
    `with open as (select id from quiz_attempt where id = ? and ended is null for share)
     insert into quiz_answer (attempt_id, question_id, answer, version, at)
       select id, ?::text, ?::jsonb, 1, ?::text from open where ?::integer = 0
          or exists (select 1 from quiz_answer where attempt_id = ? and question_id = ?)
     on conflict (attempt_id, question_id) do update
       set answer = excluded.answer, version = quiz_answer.version + 1, at = excluded.at
       where quiz_answer.version = ?::integer and not quiz_answer.is_checked
     returning version`,
    [attemptId, questionId, kept, now, version, attemptId, questionId, version],
  );
  const [row] = written;
  if (row !== undefined) return { version: row.version, at: now, now };
  const [there, again] = await Promise.all([
    em.fork().findOne(QuizAnswerRow, { attemptId, questionId }),
    em.fork().findOne(QuizAttemptRow, { id: attemptId }),
  ]);
  if (again?.ended != null) throw over();
  throw new Failure('changed_elsewhere', 'It has been answered in another window, or on another device', [
    {
      path: there?.isChecked === true ? 'checked' : 'version',
      value: version,
      expected: String(there?.version ?? 0),
    },
  ]);
}

/** From now on it stands: what is right is shown. */
export async function checkAnswer(
  em: EntityManager,
  worker: Worker,
  { itemId, attemptId, questionId }: Place,
  version: number,
  now: string,
): Promise<void> {
  const { course, viewer } = worker;
  const { node: quiz, mayWork } = mustAnswer(worker, itemId, now);
  const attempt = await ownAttempt(em, worker, { itemId, attemptId });
  askedOf(quiz, attempt, questionId);
  if (quiz.reveals !== 'at_once' || !mayWork) throw notNow();
  if (await endIfOver(em.fork(), { course, viewer, quiz }, attempt, now)) throw over();
  const checked = await em.execute<{ version: number }[]>(
    `update quiz_answer set is_checked = true
       where attempt_id = ? and question_id = ? and version = ?
         and exists (select 1 from quiz_attempt where id = ? and ended is null)
     returning version`,
    [attemptId, questionId, version, attemptId],
  );
  if (checked.length > 0) return;
  throw new Failure('changed_elsewhere', 'It has been answered in another window, or not at all', [
    { path: 'version', value: version, expected: 'the version of the answer' },
  ]);
}

/** @throws Failure `cannot_hand_in` while something that is required has no answer */
export async function handInAttempt(
  em: EntityManager,
  worker: Worker,
  place: Pick<Place, 'itemId' | 'attemptId'>,
  seen: Readonly<Record<string, number>>,
  now: string,
): Promise<void> {
  const { course, viewer } = worker;
  const { node: quiz } = mustAnswer(worker, place.itemId, now);
  const attempt = await ownAttempt(em, worker, place);
  // Handed in again, or by its time while the request was on its way: it has ended.
  if (await endIfOver(em.fork(), { course, viewer, quiz }, attempt, now)) return;
  const rows = await em.find(QuizAnswerRow, { attemptId: attempt.id });
  const missing = missingIn(quiz, attempt, rows);
  if (missing !== null) {
    throw new Failure('cannot_hand_in', 'A question that is required has no answer yet', [
      { path: 'required', value: missing + 1, expected: 'an answer to each question that is required' },
    ]);
  }
  await em
    .fork()
    .transactional((inner) => endAttempt(inner, { course, viewer, quiz }, attempt.id, 'hand', now, seen));
}

/** The place of the first question that is required and has no answer; null: there is none. */
function missingIn(
  quiz: Quiz,
  { asks }: QuizAttemptRecord,
  rows: readonly QuizAnswerRecord[],
): number | null {
  const questions = askedIn(quiz, asks);
  const judged = judgeAttempt(questions, new Map(rows.map(({ questionId, answer }) => [questionId, answer])));
  const at = questions.findIndex(({ required }, index) => required && judged[index]?.isUnanswered !== false);
  return at === -1 ? null : at;
}
