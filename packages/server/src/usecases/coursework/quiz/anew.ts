/** Judging all attempts anew after a question has been mended: who it moves is shown first, and exactly that is then done. */
import { createHash } from 'node:crypto';
import type { AnewAnswer } from '@itinerary/contract';
import { judgeAnew, standingOf, toNumber, byName } from '@itinerary/core';
import type { Course, JudgedAnswer } from '@itinerary/core';
import { PersonRow, QuizAnswerRow, QuizAttemptRow } from '../../../db/entities.ts';
import { groupBy } from '../../../db/group-by.ts';
import type { EntityManager } from '../../../db/orm.ts';
import { Failure } from '../../failure.ts';
import { noteResults } from './alike.ts';
import { quizWork } from './looking.ts';
import type { QuizWork } from './looking.ts';
import { askedIn, byId, resultOfAttempt } from './own-quiz.ts';

interface Anew {
  readonly work: QuizWork;
  /** By attempt; those alone that come out otherwise. */
  readonly judged: ReadonlyMap<string, readonly JudgedAnswer[]>;
  readonly token: string;
}

async function reckon(em: EntityManager, course: Course, itemId: string, now: string): Promise<Anew> {
  const work = await quizWork(em, course, itemId, now);
  const all = byId(work.quiz);
  const ended = work.attempts.filter((one) => one.ended != null);
  const rows = await em.find(QuizAnswerRow, { attemptId: { $in: ended.map(({ id }) => id) } });
  const byAttempt = groupBy(rows, ({ attemptId }) => attemptId);
  const judged = new Map<string, readonly JudgedAnswer[]>();
  for (const attempt of ended) {
    const answers = new Map((byAttempt.get(attempt.id) ?? []).map((one) => [one.questionId, one.answer]));
    const questions = askedIn(work.quiz, attempt.asks, all);
    const next = judgeAnew(attempt.judged ?? [], questions, answers);
    if (!isSame(next, attempt.judged ?? [])) judged.set(attempt.id, next);
  }
  const token = createHash('sha256')
    .update(JSON.stringify([...judged].sort(([a], [b]) => (a < b ? -1 : 1))))
    .digest('hex');
  return { work, judged, token };
}

const asText = (all: readonly JudgedAnswer[]): string =>
  JSON.stringify(all.map(({ question, points, share, isOpen }) => [question, points, share, isOpen]));
const isSame = (a: readonly JudgedAnswer[], b: readonly JudgedAnswer[]): boolean => asText(a) === asText(b);

export async function lookAnew(
  em: EntityManager,
  course: Course,
  itemId: string,
  now: string,
): Promise<AnewAnswer> {
  const { work, judged, token } = await reckon(em, course, itemId, now);
  const moved = [
    ...new Set(work.attempts.filter(({ id }) => judged.has(id)).map(({ personId }) => personId)),
  ];
  const people = await em.find(PersonRow, { id: { $in: moved } });
  const { quiz } = work;
  const standing = (person: string, anew: boolean): AnewAnswer['people'][number]['from'] => {
    const own = work.attempts.filter((one) => one.personId === person && one.ended != null);
    const results = own.map((one) => {
      const now = anew ? (judged.get(one.id) ?? one.judged) : one.judged;
      return resultOfAttempt({ judged: now }, work.marksOf(one.id), quiz.total);
    });
    const { share, points } = standingOf(results, quiz);
    return share === null ? null : { points: toNumber(points), share: toNumber(share) };
  };
  return {
    token,
    attempts: judged.size,
    people: people
      .map(({ id, name }) => ({ person: id, name, from: standing(id, false), to: standing(id, true) }))
      .filter(({ from, to }) => from?.points !== to?.points || from?.share !== to?.share)
      .sort((a, b) => byName(a.name, b.name)),
  };
}

/** @throws Failure `changed_elsewhere` where it would come out otherwise than it was looked at */
export async function judgeAllAnew(
  em: EntityManager,
  course: Course,
  itemId: string,
  token: string,
  now: string,
): Promise<void> {
  await em.fork().transactional(async (inner) => {
    await inner.execute(
      'select id from quiz_attempt where course_id = ? and item_id = ? order by id for update',
      [course.id, itemId],
    );
    const anew = await reckon(inner, course, itemId, now);
    if (anew.token !== token) {
      throw new Failure('changed_elsewhere', 'Something has changed since it was looked at', [
        { path: 'token', value: token, expected: 'a new look' },
      ]);
    }
    const persons = new Set<string>();
    for (const [id, judged] of anew.judged) {
      const attempt = await inner.findOneOrFail(QuizAttemptRow, { id });
      inner.assign(attempt, { judged });
      persons.add(attempt.personId);
    }
    await inner.flush();
    await noteResults(inner, course, anew.work.quiz, persons, now);
  });
}
