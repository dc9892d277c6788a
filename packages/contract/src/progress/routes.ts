/** Where learners stand. */
import { progressViewSchema } from '@itinerary/core';
import { course, pathId } from '../shape/route.ts';
import type { Route } from '../shape/route.ts';
import {
  allProgressSchema,
  deedDaysSchema,
  gridSchema,
  learnerSchema,
  markDoneSchema,
  movesRequestSchema,
  movesSchema,
} from './schemas.ts';

const learner = course.extend({ person: pathId });
const itemOf = course.extend({ item: pathId });

export const PROGRESS_ROUTES = {
  ownProgress: {
    method: 'get',
    path: '/api/learn/{course}/progress',
    access: 'read',
    summary: 'Where a learner stands: what is done and since when, what is next, what is behind',
    params: course,
    status: 200,
    answer: progressViewSchema,
  },
  allProgress: {
    method: 'get',
    path: '/api/progress',
    access: 'signed_in',
    summary: 'How far one is in each course that one learns in',
    status: 200,
    answer: allProgressSchema,
  },
  grid: {
    method: 'get',
    path: '/api/courses/{course}/progress',
    access: 'mark',
    summary: 'Where all learners stand, by what counts',
    params: course,
    status: 200,
    answer: gridSchema,
  },
  progressCsv: {
    method: 'get',
    path: '/api/courses/{course}/progress.csv',
    access: 'mark',
    summary:
      'Where all learners stand, as a table: a line a learner, a column an item, the moment at which it was done',
    params: course,
    status: 200,
    media: 'text/csv',
  },
  progressStatements: {
    method: 'get',
    path: '/api/courses/{course}/progress.xapi',
    access: 'mark',
    summary: 'What learners have done, as statements of IEEE 9274.1.1 (xAPI)',
    params: course,
    status: 200,
    media: 'application/json',
  },
  deedDays: {
    method: 'get',
    path: '/api/courses/{course}/forecast',
    access: 'mark',
    summary: 'What each learner has done on which day: what a forecast is made from',
    params: course,
    status: 200,
    answer: deedDaysSchema,
  },
  learnerProgress: {
    method: 'get',
    path: '/api/courses/{course}/progress/{person}',
    access: 'mark',
    summary: 'Where one learner stands, and every deed of theirs',
    params: learner,
    status: 200,
    answer: learnerSchema,
  },
  markDone: {
    method: 'post',
    path: '/api/courses/{course}/items/{item}/done',
    access: 'mark',
    summary:
      'Say that learners are done with an item, that one does not say so any more, or that nothing counts',
    params: itemOf,
    body: markDoneSchema,
    status: 200,
    answer: gridSchema,
  },
  moves: {
    method: 'post',
    path: '/api/courses/{course}/progress/moves',
    access: 'mark',
    summary:
      'Who would be done with more, and who with less, if the plan were changed so; nothing is changed',
    params: course,
    body: movesRequestSchema,
    status: 200,
    answer: movesSchema,
  },
} as const satisfies Readonly<Record<string, Route>>;
