/** Rows of films watched, of who was at meetings, and of surveys. The migrations own the tables. */
import type { Attended, Run, SurveyAnswers } from '@itinerary/core';
import { defineEntity } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';

export const FilmWatchRow = defineEntity({
  name: 'FilmWatchRow',
  tableName: 'film_watch',
  properties: (p) => ({
    courseId: p.string().primary(),
    itemId: p.string().primary(),
    personId: p.string().primary(),
    /** The hash of its file: another file is another film. */
    film: p.string().primary(),
    runs: p.json<readonly Run[]>(),
    /** In milliseconds. */
    position: p.integer(),
    openedAt: p.string(),
    reportedAt: p.string().nullable(),
    /** The last report that was taken. */
    report: p.string().nullable(),
  }),
});

export const AttendanceRow = defineEntity({
  name: 'AttendanceRow',
  tableName: 'attendance',
  properties: (p) => ({
    courseId: p.string().primary(),
    itemId: p.string().primary(),
    personId: p.string().primary(),
    attended: p.string().$type<Attended>(),
    /** Null: they have said so by the code. */
    by: p.string().nullable(),
    at: p.string(),
  }),
});

export const AttendanceCodeRow = defineEntity({
  name: 'AttendanceCodeRow',
  tableName: 'attendance_code',
  properties: (p) => ({
    courseId: p.string().primary(),
    itemId: p.string().primary(),
    /** Made by the client: asked for again, it is the same code. */
    id: p.string(),
    code: p.string(),
    until: p.string(),
  }),
});

export const SurveyAnsweredRow = defineEntity({
  name: 'SurveyAnsweredRow',
  tableName: 'survey_answered',
  properties: (p) => ({
    courseId: p.string().primary(),
    itemId: p.string().primary(),
    personId: p.string().primary(),
    at: p.string(),
  }),
});

/** Answers without a person and without a moment: one row a batch, so that no row is anybody's. */
export const SurveyBatchRow = defineEntity({
  name: 'SurveyBatchRow',
  tableName: 'survey_batch',
  properties: (p) => ({
    courseId: p.string().primary(),
    itemId: p.string().primary(),
    number: p.integer().primary(),
    size: p.integer(),
    answers: p.json<readonly SurveyAnswers[]>(),
  }),
});

export type FilmWatchRecord = InferEntity<typeof FilmWatchRow>;
export type AttendanceRecord = InferEntity<typeof AttendanceRow>;
