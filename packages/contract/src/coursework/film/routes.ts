/** Watching a film. */
import { course, pathId } from '../../shape/route.ts';
import type { Route } from '../../shape/route.ts';
import { filmSchema, watchedBodySchema, watchedSchema, whoWatchedSchema } from './schemas.ts';

const item = course.extend({ item: pathId });

export const FILM_ROUTES = {
  film: {
    method: 'get',
    path: '/api/learn/{course}/items/{item}/film',
    access: 'read',
    summary: 'A film’s chapters and captions, and what of it one has watched',
    params: item,
    status: 200,
    answer: filmSchema,
  },
  reportWatched: {
    method: 'post',
    path: '/api/learn/{course}/items/{item}/film/watched',
    access: 'read',
    summary: 'What has been played since the last report; sent again it is the same',
    params: item,
    body: watchedBodySchema,
    status: 200,
    answer: watchedSchema,
  },
  whoWatched: {
    method: 'get',
    path: '/api/courses/{course}/items/{item}/film',
    access: 'mark',
    summary: 'Who has watched how much of it',
    params: item,
    status: 200,
    answer: whoWatchedSchema,
  },
} as const satisfies Readonly<Record<string, Route>>;
