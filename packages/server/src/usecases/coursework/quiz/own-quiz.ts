/** A quiz as one person has it. What is right leaves the server here alone, and only once it may. */
import type { OwnQuizAnswer } from '@itinerary/contract';
import {
  attemptEnd,
  beginFault,
  hasRight,
  judgeAttempt,
  picturesOf,
  punctualAt,
  questionsOf,
  readShare,
  renamed,
  resultOfJudged,
  shownQuestion,
  shutsAt,
  solutionOf,
  standingOf,
  timeFactor,
  toNumber,
  worthOf,
} from '@itinerary/core';
import type { AskedQuestion, AttemptPoints, JudgedAnswer, Quiz } from '@itinerary/core';
import { QuizAnswerRow, QuizAttemptRow, QuizMarkRow } from '../../../db/entities.ts';
import type { EntityManager } from '../../../db/orm.ts';
import type { QuizAnswerRecord, QuizAttemptRecord, QuizMarkRecord } from '../../../db/entities/quiz.ts';
import type { FileStore } from '../../../files/file-store.ts';
import type { FileToSend } from '../../files/files.ts';
import { nothingHere } from '../../nothing-here.ts';
import { iso, sendable, standingMark } from '../own-work.ts';
import type { Worker } from '../own-work.ts';
import { workFor } from '../taken-work.ts';
import type { OwnWork } from '../taken-work.ts';
import { namingFor } from './naming.ts';

/** Looked up once where many attempts are judged: what a question comes to is reckoned once for each. */
export const byId = (quiz: Quiz): ReadonlyMap<string, AskedQuestion> =>
  new Map(questionsOf(quiz).map((one) => [one.id, one]));

/** Those that an attempt asks and that are still there, in its order. */
export function askedIn(
  quiz: Quiz,
  asks: readonly string[],
  all: ReadonlyMap<string, AskedQuestion> = byId(quiz),
): readonly AskedQuestion[] {
  return asks.flatMap((id) => all.get(id) ?? []);
}

/** Of each question, the mark that stands. */
export function standingMarks(marks: readonly QuizMarkRecord[]): ReadonlyMap<string, QuizMarkRecord> {
  const questions = [...new Set(marks.map(({ questionId }) => questionId))];
  return new Map(
    questions.flatMap((question) => {
      const standing = standingMark(marks.filter(({ questionId }) => questionId === question));
      return standing === null ? [] : [[question, standing] as const];
    }),
  );
}

export function resultOfAttempt(
  { judged }: Pick<QuizAttemptRecord, 'judged'>,
  marks: readonly QuizMarkRecord[],
  total: number | null,
): AttemptPoints {
  const shares = new Map([...standingMarks(marks)].map(([question, { share }]) => [question, share]));
  return resultOfJudged(judged ?? [], shares, total);
}

/** The first instant at which an answer to it is refused; null: none is planned. */
export function endOfAttempt(
  { course, viewer }: Pick<Worker, 'course' | 'viewer'>,
  { node, window }: Pick<OwnWork<Quiz>, 'node' | 'window'>,
  attempt: Pick<QuizAttemptRecord, 'begun'>,
  now: string,
): number | null {
  return attemptEnd(Date.parse(attempt.begun), {
    limit: node.limit,
    factor: timeFactor(course, viewer, node.id),
    shutAt: shutsAt(course, viewer, node.id, Date.parse(now)),
    takenTo: window.takenTo,
  });
}

/** A picture to choose from, for whoever is asked that question. @throws Failure `not_found` for anybody else */
export async function quizPicture(
  em: EntityManager,
  store: FileStore,
  { course, viewer, personId }: Worker,
  { itemId, hash }: { readonly itemId: string; readonly hash: string },
  now: string,
): Promise<FileToSend> {
  const { node: quiz } = workFor(course, viewer, itemId, 'quiz', now);
  const isLearner = viewer.role === 'learner' && personId !== null;
  const attempts = isLearner ? await attemptsOf(em, course.id, itemId, personId) : [];
  const asked = hasRight(viewer, 'mark')
    ? questionsOf(quiz)
    : attempts.flatMap(({ asks }) => askedIn(quiz, asks));
  const file = asked.flatMap(picturesOf).find((one) => one.hash === hash);
  if (file === undefined) throw nothingHere();
  // Its name may say which it is.
  return sendable(em, store, course.id, { hash, name: hash.slice(0, 12) });
}

/** In the order in which they were begun. */
export const attemptsOf = (
  em: EntityManager,
  courseId: string,
  itemId: string,
  personId: string,
): Promise<QuizAttemptRecord[]> =>
  em.find(QuizAttemptRow, { courseId, itemId, personId }, { orderBy: { number: 'asc' } });

export async function ownQuiz(
  em: EntityManager,
  worker: Worker,
  itemId: string,
  { attempt: wanted, secret }: { readonly attempt: string | null; readonly secret: string },
  now: string,
): Promise<OwnQuizAnswer> {
  const { course, viewer, personId } = worker;
  const own = workFor(course, viewer, itemId, 'quiz', now);
  const { node: quiz, window, mayWork } = own;
  const at = Date.parse(now);
  const isLearner = viewer.role === 'learner' && personId !== null;
  const attempts = isLearner ? await attemptsOf(em, course.id, itemId, personId) : [];
  const marks = await em.find(QuizMarkRow, { attemptId: { $in: attempts.map(({ id }) => id) } });
  const marksOf = (id: string): readonly QuizMarkRecord[] =>
    marks.filter(({ attemptId }) => attemptId === id);
  const ended = attempts.filter((one) => one.ended != null);
  const results = new Map(ended.map((one) => [one.id, resultOfAttempt(one, marksOf(one.id), quiz.total)]));
  const worth = worthOf(quiz);
  const whole = standingOf([...results.values()], quiz);
  const fault = beginFault(
    { tries: quiz.tries, wait: quiz.wait, asked: worth.asked },
    attempts.map((one) => ({ ended: one.ended == null ? null : Date.parse(one.ended) })),
    window,
    at,
  );
  const looked = attempts.find((one) => (wanted === null ? one.ended == null : one.id === wanted));
  if (wanted !== null && looked === undefined) throw nothingHere();
  return {
    questions: worth.asked,
    total: quiz.total ?? worth.points,
    passAt: quiz.passAt,
    limit: quiz.limit,
    layout: quiz.layout,
    reveals: quiz.reveals,
    counts: quiz.counts,
    mayAnswer: mayWork,
    mayMark: hasRight(viewer, 'mark'),
    fault: fault?.code ?? null,
    from: fault?.code === 'wait' ? iso(fault.from) : null,
    punctual: punctualAt(window, at),
    due: iso(window.due),
    // Nobody is told of the grace: it is not shown as an end either.
    takenTo: iso(window.takenTo === window.onTimeTo ? (window.due ?? window.takenTo) : window.takenTo),
    now,
    zone: course.dates.zone,
    tries: { most: quiz.tries, used: attempts.length },
    attempts: [...attempts].reverse().map((one) => {
      const result = results.get(one.id);
      return {
        id: one.id,
        number: one.number,
        begun: one.begun,
        end: one.ended == null ? iso(endOfAttempt(worker, own, one, now)) : null,
        ended: one.ended ?? null,
        endedBy: one.endedBy ?? null,
        isLate: one.isLate,
        hash: one.hash ?? null,
        points: result?.share == null ? null : toNumber(result.points),
        isFinal: result?.isFinal === true,
      };
    }),
    result:
      ended.length === 0 || whole.share === null
        ? null
        : {
            points: toNumber(whole.points),
            share: toNumber(whole.share),
            isFinal: whole.isFinal,
            hasPassed: whole.hasPassed,
          },
    open:
      looked === undefined
        ? null
        : await lookedAt(
            em,
            { quiz, secret, isOver: punctualAt(window, at) === 'over' },
            looked,
            marksOf(looked.id),
          ),
  };
}

interface Looking {
  readonly quiz: Quiz;
  readonly secret: string;
  /** Nothing is taken from this person any more. */
  readonly isOver: boolean;
}

async function lookedAt(
  em: EntityManager,
  { quiz, secret, isOver }: Looking,
  attempt: QuizAttemptRecord,
  marks: readonly QuizMarkRecord[],
): Promise<NonNullable<OwnQuizAnswer['open']>> {
  const rows = await em.find(QuizAnswerRow, { attemptId: attempt.id });
  const questions = askedIn(quiz, attempt.asks);
  const naming = (id: string) => namingFor(secret, attempt.id, id);
  const { shuffleChoices, showsPoints, reveals } = quiz;
  const standing = standingMarks(marks);
  /** Whether what is right may be told by now. */
  const isTold = (row: QuizAnswerRecord | undefined): boolean => {
    if (reveals === 'never') return false;
    if (attempt.ended == null) return reveals === 'at_once' && row?.isChecked === true;
    return reveals !== 'over' || isOver;
  };
  const judged = new Map<string, JudgedAnswer>(
    (attempt.judged ?? judgeAttempt(questions, new Map(rows.map((row) => [row.questionId, row.answer])))).map(
      (one) => [one.question, one],
    ),
  );
  const told = questions.flatMap((question) => {
    const row = rows.find(({ questionId }) => questionId === question.id);
    const one = judged.get(question.id);
    const mark = attempt.ended == null ? undefined : standing.get(question.id);
    // What staff have said is for whom they have said it, whatever is told of the rest.
    if (one === undefined || (!isTold(row) && mark === undefined)) return [];
    return [
      {
        question: question.id,
        points: showsPoints ? one.points : null,
        share: toNumber(readShare(mark?.share ?? one.share)),
        isOpen: one.isOpen && mark === undefined,
        isUnanswered: one.isUnanswered,
        comment: mark?.comment ?? '',
        solution: isTold(row) ? solutionOf(question, naming(question.id)) : null,
      },
    ];
  });
  return {
    attempt: attempt.id,
    questions: questions.map((question) =>
      shownQuestion(question, { seed: attempt.id, shuffleChoices, showsPoints, naming: naming(question.id) }),
    ),
    answers: rows
      .filter(({ questionId }) => questions.some(({ id }) => id === questionId))
      .map(({ questionId, answer, version, at, isChecked }) => ({
        question: questionId,
        answer: renamed(answer, naming(questionId)) as never,
        version,
        at,
        isChecked,
      })),
    told,
  };
}
