/** What a course is for one person. */
import { course } from '../shape/route.ts';
import type { Route } from '../shape/route.ts';
import { allNewsSchema, findQuery, foundSchema, logQuery, newsSchema, ownLogSchema } from './schemas.ts';

export const OWN_ROUTES = {
  news: {
    method: 'get',
    path: '/api/learn/{course}/news',
    access: 'read',
    summary: 'What is new to whoever is in the course since they were there last',
    params: course,
    status: 200,
    answer: newsSchema,
  },
  allNews: {
    method: 'get',
    path: '/api/news',
    access: 'signed_in',
    summary: 'How much is new in each course that one learns in',
    status: 200,
    answer: allNewsSchema,
  },
  ownLog: {
    method: 'get',
    path: '/api/learn/{course}/log',
    access: 'read',
    summary: 'What a learner has done in the course, and when, where the course shows it',
    params: course,
    query: logQuery,
    status: 200,
    answer: ownLogSchema,
  },
  findInCourse: {
    method: 'get',
    path: '/api/learn/{course}/found',
    access: 'read',
    summary: 'Words looked for in all of the course that one gets',
    params: course,
    query: findQuery,
    status: 200,
    answer: foundSchema,
  },
} as const satisfies Readonly<Record<string, Route>>;
