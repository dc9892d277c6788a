/** Marking by question: answers that say the same are looked at once, and marked once for all of them. */
import { randomUUID } from 'node:crypto';
import { LockMode } from '@mikro-orm/core';
import type { AlikeAnswers, MarkAnswers } from '@itinerary/contract';
import {
  alikeAs,
  answerWords,
  questionsOf,
  readShare,
  rightWords,
  shareOfPoints,
  toNumber,
  written,
} from '@itinerary/core';
import type { AskedQuestion, Course, Quiz } from '@itinerary/core';
import { PersonRow, QuizAnswerRow, QuizAttemptRow, QuizMarkRow } from '../../../db/entities.ts';
import { groupBy } from '../../../db/group-by.ts';
import type { EntityManager } from '../../../db/orm.ts';
import { viewerOf } from '../../access/viewer.ts';
import { Failure } from '../../failure.ts';
import { nothingHere } from '../../nothing-here.ts';
import { noteResult } from './end.ts';
import { quizWork, withMarks } from './looking.ts';
import type { QuizWork } from './looking.ts';
import { standingMarks } from './own-quiz.ts';

function numbered(
  quiz: Quiz,
  questionId: string,
): { readonly question: AskedQuestion; readonly number: number } {
  const all = questionsOf(quiz);
  const at = all.findIndex(({ id }) => id === questionId);
  const question = all[at];
  if (question === undefined) throw nothingHere();
  return { question, number: at + 1 };
}

export async function quizAnswers(
  em: EntityManager,
  course: Course,
  itemId: string,
  questionId: string,
  now: string,
): Promise<AlikeAnswers> {
  const work = await quizWork(em, course, itemId, now);
  const { question, number } = numbered(work.quiz, questionId);
  const ended = work.attempts.filter((one) => one.ended != null);
  const rows = await em.find(QuizAnswerRow, { questionId, attemptId: { $in: ended.map(({ id }) => id) } });
  const people = await em.find(PersonRow, { id: { $in: ended.map(({ personId }) => personId) } });
  const names = new Map(people.map(({ id, name }) => [id, name]));
  const answers = new Map(rows.map(({ attemptId, answer }) => [attemptId, answer]));
  const groups = new Map<string, AlikeAnswers['answers'][number] & { from: Given[] }>();
  for (const attempt of ended) {
    const answer = answers.get(attempt.id);
    const judged = withMarks(attempt, work.marksOf(attempt.id)).find((one) => one.question === questionId);
    if (answer === undefined || judged === undefined || judged.isUnanswered) continue;
    const mark = standingMarks(work.marksOf(attempt.id)).get(questionId);
    const key = alikeAs(question, answer);
    const share = toNumber(readShare(judged.share));
    const said = mark === undefined ? null : { points: mark.points, comment: mark.comment };
    const given: Given = {
      attempt: attempt.id,
      name: work.quiz.namesLeftOut && judged.isOpen ? null : (names.get(attempt.personId) ?? ''),
      mark: mark?.id ?? null,
    };
    // What was judged or marked otherwise, though it says the same, stands by itself.
    const name = JSON.stringify([key, judged.isOpen, share, said]);
    const group = groups.get(name);
    if (group !== undefined) group.from.push(given);
    else {
      const words = [...answerWords(question, answer)];
      groups.set(name, { words, isOpen: judged.isOpen, share, mark: said, from: [given] });
    }
  }
  const { id, text, kind, points, why } = question;
  return {
    question: { id, number, text, kind, points, right: [...rightWords(question)], why },
    // What is open first, then what many have said.
    answers: [...groups.values()].sort(
      (a, b) => Number(b.isOpen) - Number(a.isOpen) || b.from.length - a.from.length,
    ),
  };
}

interface Given {
  readonly attempt: string;
  readonly name: string | null;
  readonly mark: string | null;
}

/** @throws Failure `changed_elsewhere` where somebody else has marked one of them meanwhile, `bad_input` beyond the points */
export async function markAnswers(
  em: EntityManager,
  course: Course,
  { itemId, questionId }: { readonly itemId: string; readonly questionId: string },
  { answers, points, comment }: MarkAnswers,
  by: string,
  now: string,
): Promise<void> {
  const work = await quizWork(em, course, itemId, now);
  const { question } = numbered(work.quiz, questionId);
  if (points > question.points) {
    throw new Failure('bad_input', 'So many points cannot be reached', [
      { path: 'points', value: points, expected: `at most ${question.points}` },
    ]);
  }
  const share = written(shareOfPoints(points, question.points));
  const ids = [...new Set(answers.map(({ attempt }) => attempt))].sort();
  const marked = ids.map((id) => judgedOf(work, id, questionId));
  await em.fork().transactional(async (inner) => {
    await inner.find(
      QuizAttemptRow,
      { id: { $in: ids } },
      { orderBy: { id: 'asc' }, lockMode: LockMode.PESSIMISTIC_WRITE },
    );
    const there = await inner.find(QuizMarkRow, { attemptId: { $in: ids }, questionId });
    const byAttempt = groupBy(there, ({ attemptId }) => attemptId);
    for (const { attempt, after } of answers) {
      const standing = standingMarks(byAttempt.get(attempt) ?? []).get(questionId);
      if ((standing?.id ?? null) !== after) {
        throw new Failure('changed_elsewhere', 'Somebody else has marked it meanwhile', [
          { path: 'after', value: after, expected: standing?.id ?? 'null' },
        ]);
      }
      const id = randomUUID();
      const mark = { id, attemptId: attempt, questionId, after, points, share, comment, by, at: now };
      inner.persist(inner.create(QuizMarkRow, mark));
    }
    await inner.flush();
    await noteResults(inner, course, work.quiz, new Set(marked), now);
  });
}

/** Whose it is. @throws Failure `bad_input` where there is nothing of this question to be marked in it */
function judgedOf({ attempts }: QuizWork, id: string, questionId: string): string {
  const attempt = attempts.find((one) => one.id === id);
  const judged = attempt?.judged?.find((one) => one.question === questionId);
  if (attempt === undefined || judged === undefined || judged.isUnanswered) {
    throw new Failure('bad_input', 'There is no answer to be marked', [
      { path: 'answers', value: id, expected: 'an attempt that has ended, with an answer to this question' },
    ]);
  }
  return attempt.personId;
}

export async function noteResults(
  em: EntityManager,
  course: Course,
  quiz: Quiz,
  persons: ReadonlySet<string>,
  now: string,
): Promise<void> {
  // One after the other, on the connection that is held already.
  for (const personId of [...persons].sort()) {
    const person = await em.findOneOrFail(PersonRow, { id: personId });
    await noteResult(
      em,
      course,
      { personId, viewer: await viewerOf(em, person, course, now) },
      quiz,
      'staff',
      now,
    );
  }
}
