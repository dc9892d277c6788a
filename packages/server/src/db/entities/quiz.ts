/** Rows of attempts at quizzes. The migrations own the tables. */
import type { JudgedAnswer, QuestionAnswer } from '@itinerary/core';
import { defineEntity } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';

export const QuizAttemptRow = defineEntity({
  name: 'QuizAttemptRow',
  tableName: 'quiz_attempt',
  properties: (p) => ({
    /** Made by the client: begun again, it is the same. */
    id: p.string().primary(),
    courseId: p.string(),
    itemId: p.string(),
    personId: p.string(),
    number: p.integer(),
    begun: p.string(),
    /** Ids of its questions, in its order. */
    asks: p.json<readonly string[]>(),
    ended: p.string().nullable(),
    endedBy: p.string().$type<'hand' | 'time' | 'nothing'>().nullable(),
    isLate: p.boolean(),
    judged: p.json<readonly JudgedAnswer[]>().nullable(),
    hash: p.string().nullable(),
  }),
});

export const QuizAnswerRow = defineEntity({
  name: 'QuizAnswerRow',
  tableName: 'quiz_answer',
  properties: (p) => ({
    attemptId: p.string().primary(),
    questionId: p.string().primary(),
    /** Its parts by their ids in the course. */
    answer: p.json<QuestionAnswer>(),
    version: p.integer(),
    at: p.string(),
    isChecked: p.boolean(),
  }),
});

export const QuizMarkRow = defineEntity({
  name: 'QuizMarkRow',
  tableName: 'quiz_mark',
  properties: (p) => ({
    id: p.string().primary(),
    attemptId: p.string(),
    questionId: p.string(),
    /** The mark that it takes the place of. */
    after: p.string().nullable(),
    points: p.float(),
    /** Of the question's points, as a fraction. */
    share: p.string(),
    comment: p.text(),
    by: p.string(),
    at: p.string(),
  }),
});

export type QuizAttemptRecord = InferEntity<typeof QuizAttemptRow>;
export type QuizAnswerRecord = InferEntity<typeof QuizAnswerRow>;
export type QuizMarkRecord = InferEntity<typeof QuizMarkRow>;
