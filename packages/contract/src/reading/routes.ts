/** A course for those who read it: resolved on the server, without rules. */
import { idSchema, storableSchema } from '@itinerary/core';
import { z } from 'zod';
import { course, pathId } from '../shape/route.ts';
import { frameSchema, pageTextSchema, pageWordsSchema, readCourseSchema, readItemSchema } from './schemas.ts';
import type { Route } from '../shape/route.ts';

export const READING_ROUTES = {
  frame: {
    method: 'get',
    path: '/api/learn/{course}/frame',
    access: 'read',
    summary: 'What stands around every page of a course for this reader: menu, look, language',
    params: course,
    status: 200,
    answer: frameSchema,
  },
  readCourse: {
    method: 'get',
    path: '/api/learn/{course}',
    access: 'read',
    summary: 'A course as the reader gets it; `arriving` notes that they have opened the course itself',
    params: course,
    query: z.object({ arriving: z.enum(['1']).optional() }),
    status: 200,
    answer: readCourseSchema,
  },
  readItem: {
    method: 'get',
    path: '/api/learn/{course}/items/{item}',
    access: 'read',
    summary: 'One item of a course as the reader gets it',
    params: course.extend({ item: pathId }),
    status: 200,
    answer: readItemSchema,
  },
  pageText: {
    method: 'get',
    path: '/api/learn/{course}/items/{item}/text',
    access: 'read',
    summary: 'The words of a page that learners may change, as they are kept',
    params: course.extend({ item: pathId }),
    status: 200,
    answer: pageTextSchema,
  },
  changePage: {
    method: 'put',
    path: '/api/learn/{course}/items/{item}/text',
    access: 'read',
    summary: 'Change the words of a page, where its learners may',
    params: course.extend({ item: pathId }),
    body: pageWordsSchema,
    status: 200,
    answer: pageTextSchema,
  },
  tick: {
    method: 'put',
    path: '/api/learn/{course}/items/{item}/done',
    access: 'read',
    summary: 'Tick an item as done, where ticking is what counts',
    params: course.extend({ item: pathId }),
    status: 204,
  },
  untick: {
    method: 'delete',
    path: '/api/learn/{course}/items/{item}/done',
    access: 'read',
    summary: 'Take one’s tick back',
    params: course.extend({ item: pathId }),
    status: 204,
  },
  itemFile: {
    method: 'get',
    path: '/api/learn/{course}/items/{item}/file',
    access: 'read',
    summary: 'The file of an item, for whoever gets that item',
    params: course.extend({ item: pathId }),
    status: 200,
    media: 'application/octet-stream',
  },
  textPicture: {
    method: 'get',
    path: '/api/learn/{course}/pictures/{hash}',
    access: 'read',
    summary: 'A picture in a text, for whoever gets that text: an item’s, or without one the course’s own',
    params: course.extend({ hash: pathId }),
    query: z.object({ item: idSchema.optional() }),
    status: 200,
    media: 'application/octet-stream',
  },
  facePicture: {
    method: 'get',
    path: '/api/learn/{course}/face/{frame}',
    access: 'read',
    summary:
      'A picture of a course, of a panel of its home page or of a contact card, cropped for its frame, as WebP',
    /** `banner`, `phone` and `thumbnail` are the course's; `panel` and `card` name one by `id`. */
    params: course.extend({ frame: pathId }),
    query: z.object({
      width: z.enum(['160', '320', '480', '640', '960', '1600']),
      id: idSchema.optional(),
      /** Its version: with it the answer can be kept for good. */
      v: storableSchema.max(80).optional(),
    }),
    status: 200,
    media: 'application/octet-stream',
  },
  readGuide: {
    method: 'get',
    path: '/api/learn/{course}/guide.csv',
    access: 'read',
    summary: 'The pacing guide as CSV: what this person gets of the course, with its dates',
    params: course,
    status: 200,
    media: 'text/csv',
  },
} as const satisfies Readonly<Record<string, Route>>;
