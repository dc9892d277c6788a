/** The passphrase with which visitors look at a course. */
import { course } from '../shape/route.ts';
import { passphraseAnswerSchema, passphraseSchema, visitSchema } from './schemas.ts';
import type { Route } from '../shape/route.ts';

export const ACCESS_ROUTES = {
  passphrase: {
    method: 'put',
    path: '/api/courses/{course}/passphrase',
    access: 'plan',
    summary: 'Set the passphrase for visitors, or take it away; it is kept as a hash and never given out',
    params: course,
    body: passphraseSchema,
    status: 200,
    answer: passphraseAnswerSchema,
  },
  visit: {
    method: 'post',
    path: '/api/learn/{course}/visit',
    access: 'read',
    whileArchived: true,
    summary: 'Give the passphrase for visitors, for this visit',
    params: course,
    body: visitSchema,
    status: 204,
  },
} as const satisfies Readonly<Record<string, Route>>;
