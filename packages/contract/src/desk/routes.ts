/** The desk, and new courses. */
import { idSchema, storableSchema } from '@itinerary/core';
import { z } from 'zod';
import type { Route } from '../shape/route.ts';
import { codeAnswerSchema, createdSchema, deskQuerySchema, deskSchema, newCourseSchema } from './schemas.ts';

export const DESK_ROUTES = {
  desk: {
    method: 'get',
    path: '/api/desk',
    access: 'signed_in',
    summary: "One's courses, a page of them",
    query: deskQuerySchema,
    status: 200,
    answer: deskSchema,
  },
  code: {
    method: 'get',
    path: '/api/codes/{code}',
    access: 'create',
    summary: 'Whether a course code is free, who has it, and a free one',
    params: z.object({ code: storableSchema.min(1).max(200) }),
    query: z.object({ except: idSchema.optional() }),
    status: 200,
    answer: codeAnswerSchema,
  },
  createCourse: {
    method: 'post',
    path: '/api/courses',
    access: 'create',
    summary: 'Open a new course as a draft',
    body: newCourseSchema,
    status: 201,
    answer: createdSchema,
  },
} as const satisfies Readonly<Record<string, Route>>;
