/** What staff see of a quiz: who stands where, and how each question went. */
import type { QuizListAnswer } from '@itinerary/contract';
import { figuresOf, questionsOf, standingOf, toNumber, worthOf, byName } from '@itinerary/core';
import type { Course, JudgedAnswer, Quiz } from '@itinerary/core';
import { PersonRow, QuizAttemptRow, QuizMarkRow } from '../../../db/entities.ts';
import { groupBy } from '../../../db/group-by.ts';
import type { EntityManager } from '../../../db/orm.ts';
import type { QuizAttemptRecord, QuizMarkRecord } from '../../../db/entities/quiz.ts';
import { viewerOf } from '../../access/viewer.ts';
import { listedMembers } from '../../members/members.ts';
import { takenWork } from '../taken-work.ts';
import { endIfOver } from './end.ts';
import { resultOfAttempt, standingMarks } from './own-quiz.ts';

export interface QuizWork {
  readonly quiz: Quiz;
  /** In the order in which they were begun. */
  readonly attempts: readonly QuizAttemptRecord[];
  readonly marksOf: (attempt: string) => readonly QuizMarkRecord[];
}

/** All attempts at it; those whose time is over have ended. */
export async function quizWork(
  em: EntityManager,
  course: Course,
  itemId: string,
  now: string,
): Promise<QuizWork> {
  const quiz = takenWork(course, itemId, 'quiz', now);
  const where = { courseId: course.id, itemId };
  const open = await em.find(QuizAttemptRow, { ...where, ended: null });
  const people = await em.find(PersonRow, { id: { $in: open.map(({ personId }) => personId) } });
  for (const attempt of open) {
    const person = people.find(({ id }) => id === attempt.personId) ?? null;
    const viewer = await viewerOf(em, person, course, now);
    await endIfOver(em.fork(), { course, viewer, quiz }, attempt, now);
  }
  const attempts = await em.fork().find(QuizAttemptRow, where, { orderBy: { number: 'asc', id: 'asc' } });
  const marks = await em.find(QuizMarkRow, { attemptId: { $in: attempts.map(({ id }) => id) } });
  const byAttempt = groupBy(marks, ({ attemptId }) => attemptId);
  return { quiz, attempts, marksOf: (attempt) => byAttempt.get(attempt) ?? [] };
}

/** As they were judged, with what staff have said of them. */
export function withMarks(
  { judged }: Pick<QuizAttemptRecord, 'judged'>,
  marks: readonly QuizMarkRecord[],
): readonly JudgedAnswer[] {
  const standing = standingMarks(marks);
  return (judged ?? []).map((one) => {
    const mark = standing.get(one.question);
    return mark === undefined || one.isUnanswered ? one : { ...one, share: mark.share, isOpen: false };
  });
}

export async function quizList(
  em: EntityManager,
  course: Course,
  itemId: string,
  now: string,
): Promise<QuizListAnswer> {
  const { quiz, attempts, marksOf } = await quizWork(em, course, itemId, now);
  const worth = worthOf(quiz);
  const ended = attempts.filter((one) => one.ended != null);
  const figures = new Map(
    figuresOf(ended.map((one) => withMarks(one, marksOf(one.id)))).map((one) => [one.question, one]),
  );
  const byPerson = groupBy(attempts, ({ personId }) => personId);
  const members = (await listedMembers(em, course.id)).filter(({ role }) => role === 'learner');
  const isFor = (groups: readonly string[]): boolean =>
    quiz.audience.length === 0 || quiz.audience.some((one) => groups.includes(one));
  const people = members
    .map(({ person, name, groups }) => {
      const own = byPerson.get(person) ?? [];
      const results = own
        .filter((one) => one.ended != null)
        .map((one) => [one.id, resultOfAttempt(one, marksOf(one.id), quiz.total)] as const);
      const of = new Map(results);
      const whole = standingOf(
        results.map(([, result]) => result),
        quiz,
      );
      return {
        person,
        name,
        groups: [...groups],
        attempts: own.map(({ id, number, begun, ended: end, endedBy, isLate }) => {
          const result = of.get(id);
          return {
            id,
            number,
            begun,
            ended: end ?? null,
            endedBy: endedBy ?? null,
            isLate,
            points: result?.share == null ? null : toNumber(result.points),
            isFinal: result?.isFinal === true,
          };
        }),
        points: whole.share === null ? null : toNumber(whole.points),
        isFinal: results.length > 0 && whole.isFinal,
        hasPassed: whole.hasPassed,
      };
    })
    // Whoever has taken it stays in sight, though it is no longer for them.
    .filter((one) => one.attempts.length > 0 || isFor(one.groups))
    .sort(
      (a, b) => Number(a.attempts.length === 0) - Number(b.attempts.length === 0) || byName(a.name, b.name),
    );
  return {
    item: { id: quiz.id, title: quiz.title, total: quiz.total ?? worth.points, passAt: quiz.passAt },
    zone: course.dates.zone,
    questions: questionsOf(quiz).map(({ id, text, kind, points }, at) => {
      const { asked = 0, unanswered = 0, open = 0, right = null, tells = null } = figures.get(id) ?? {};
      return { question: id, number: at + 1, text, kind, points, asked, unanswered, open, right, tells };
    }),
    people,
  };
}
