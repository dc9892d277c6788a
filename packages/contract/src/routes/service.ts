/** Whether it is well, what it takes and gives, and who is signed in. */
import { z } from 'zod';
import { demoPeopleSchema, demoSignInSchema, meSchema, signInSchema } from '../people.ts';
import type { Route } from './route.ts';

export const healthSchema = z.object({
  status: z.enum(['ok', 'degraded']),
  database: z.enum(['ok', 'away']),
});

export const SERVICE_ROUTES = {
  health: {
    method: 'get',
    path: '/api/health',
    access: 'anyone',
    summary: 'Whether the server and its database answer',
    status: 200,
    answer: healthSchema,
  },
  openapi: {
    method: 'get',
    path: '/api/openapi.json',
    access: 'anyone',
    summary: 'This interface as an OpenAPI 3.1 document',
    status: 200,
    answer: z.looseObject({ openapi: z.string() }),
  },
  me: {
    method: 'get',
    path: '/api/me',
    access: 'anyone',
    summary: 'Who is signed in, the clock, and the institution',
    status: 200,
    answer: meSchema,
  },
  signIn: {
    method: 'post',
    path: '/api/session',
    access: 'anyone',
    summary: 'Sign in with address and password',
    body: signInSchema,
    status: 200,
    answer: meSchema,
  },
  signOut: {
    method: 'delete',
    path: '/api/session',
    access: 'anyone',
    summary: 'Sign out',
    status: 204,
  },
  demoPeople: {
    method: 'get',
    path: '/api/demo/people',
    access: 'anyone',
    summary: 'The people of the demo, in demo mode only',
    status: 200,
    answer: demoPeopleSchema,
  },
  demoSignIn: {
    method: 'post',
    path: '/api/demo/session',
    access: 'anyone',
    summary: 'Sign in as one of the demo people, in demo mode only',
    body: demoSignInSchema,
    status: 200,
    answer: meSchema,
  },
} as const satisfies Readonly<Record<string, Route>>;
