/** Files and pictures of a course, and the library of pictures. */
import { storableSchema } from '@itinerary/core';
import { z } from 'zod';
import { fileQuery } from '../shape/file-query.ts';
import { course, pathId } from '../shape/route.ts';
import {
  librarySchema,
  ownPicturesSchema,
  takenPictureSchema,
  takePictureSchema,
  uploadAnswerSchema,
} from './schemas.ts';
import type { Route } from '../shape/route.ts';

export const FILES_ROUTES = {
  upload: {
    method: 'post',
    path: '/api/courses/{course}/files',
    access: 'plan',
    summary:
      'Upload a file: its bytes as the body, its name in the query; refused while it arrives when too large',
    params: course,
    query: fileQuery,
    takesFile: true,
    status: 201,
    answer: uploadAnswerSchema,
  },
  courseFile: {
    method: 'get',
    path: '/api/courses/{course}/files/{hash}',
    access: 'plan',
    summary: 'A file of the course, for those who plan it',
    params: course.extend({ hash: pathId }),
    status: 200,
    media: 'application/octet-stream',
  },
  ownPictures: {
    method: 'get',
    path: '/api/courses/{course}/pictures',
    access: 'plan',
    summary: 'Pictures in all courses that one plans',
    params: course,
    status: 200,
    answer: ownPicturesSchema,
  },
  takePicture: {
    method: 'post',
    path: '/api/courses/{course}/pictures',
    access: 'plan',
    summary: 'Put a picture from the library, or from another course of one’s own, among this course’s files',
    params: course,
    body: takePictureSchema,
    status: 201,
    answer: takenPictureSchema,
  },
  library: {
    method: 'get',
    path: '/api/library',
    access: 'planner',
    summary: 'The picture library, searched by words',
    query: z.object({ find: storableSchema.max(100).default('') }),
    status: 200,
    answer: librarySchema,
  },
  libraryPicture: {
    method: 'get',
    path: '/api/library/{picture}',
    access: 'planner',
    summary: 'A picture of the library, small',
    params: z.object({ picture: pathId }),
    status: 200,
    media: 'application/octet-stream',
  },
} as const satisfies Readonly<Record<string, Route>>;
