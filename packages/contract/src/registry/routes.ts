/** Reading the institution's registry, and courses that follow its classes. */
import { z } from 'zod';
import { course } from '../shape/route.ts';
import type { Route } from '../shape/route.ts';
import { followsSchema, readingSchema, registrySchema, settleSchema, taughtSchema } from './schemas.ts';

export const REGISTRY_ROUTES = {
  taught: {
    method: 'get',
    path: '/api/registry/classes',
    access: 'create',
    summary: 'The classes of the registry that one teaches, to open courses for',
    status: 200,
    answer: taughtSchema,
  },
  readRegistry: {
    method: 'post',
    path: '/api/registry/readings',
    access: 'planner',
    summary: 'Ask for a reading of the registry; what comes of it is told when it is there',
    body: z.strictObject({}),
    status: 200,
    answer: readingSchema,
  },
  registry: {
    method: 'get',
    path: '/api/courses/{course}/registry',
    access: 'members',
    summary: 'The classes that a course follows, and what the readings of the registry have changed',
    params: course,
    status: 200,
    answer: registrySchema,
  },
  follow: {
    method: 'put',
    path: '/api/courses/{course}/registry',
    access: 'members',
    summary: 'Which classes of the registry the course follows, with or without one of its own for each',
    params: course,
    body: followsSchema,
    status: 200,
    answer: registrySchema,
  },
  settleRegistry: {
    method: 'post',
    path: '/api/courses/{course}/registry/settled',
    access: 'members',
    summary: 'Say which is right, who is meant, or that so many are to go',
    params: course,
    body: settleSchema,
    status: 200,
    answer: registrySchema,
  },
} as const satisfies Record<string, Route>;
