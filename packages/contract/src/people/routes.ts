/** People, sessions, and the institution that they belong to. */
import { demoPeopleSchema, demoSignInSchema, meSchema, signInSchema } from './schemas.ts';
import type { Route } from '../shape/route.ts';

export const PEOPLE_ROUTES = {
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
