/** Joining a course by its code, and leaving it. */
import { z } from 'zod';
import { course } from '../shape/route.ts';
import { joinCodeParams, joinedSchema, joinPageSchema, waysInSchema } from './schemas.ts';
import type { Route } from '../shape/route.ts';

export const JOINING_ROUTES = {
  joinPage: {
    method: 'get',
    path: '/api/join/{code}',
    access: 'anyone',
    summary: 'What whoever has a course’s code is told of it, and whether they may join',
    params: joinCodeParams,
    status: 200,
    answer: joinPageSchema,
  },
  join: {
    method: 'post',
    path: '/api/join/{code}',
    access: 'signed_in',
    summary: 'Join a course by its code; whoever is in it already is in it',
    params: joinCodeParams,
    body: z.strictObject({}),
    status: 200,
    answer: joinedSchema,
    whileArchived: true,
  },
  leave: {
    method: 'post',
    path: '/api/learn/{course}/leave',
    access: 'read',
    summary: 'Leave a course; all that one has done in it is kept',
    params: course,
    body: z.strictObject({}),
    status: 204,
  },
  waysIn: {
    method: 'get',
    path: '/api/courses/{course}/ways',
    access: 'members',
    summary: 'The code by which the course is joined, and who came by it',
    params: course,
    status: 200,
    answer: waysInSchema,
  },
  newJoinCode: {
    method: 'post',
    path: '/api/courses/{course}/ways/code',
    access: 'members',
    summary: 'Make a code, which ends the one before',
    params: course,
    body: z.strictObject({}),
    status: 200,
    answer: waysInSchema,
  },
} as const satisfies Readonly<Record<string, Route>>;
