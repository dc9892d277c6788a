/** The desk, and new courses. */
import type { DESK_ROUTES } from '@itinerary/contract';
import { checkCode } from '../../usecases/desk/course-codes.ts';
import { createCourse } from '../../usecases/desk/create-course.ts';
import { desk } from '../../usecases/desk/desk.ts';
import type { HandlersOf } from '../call.ts';

export const DESK: HandlersOf<typeof DESK_ROUTES> = {
  desk: ({ em, who, query, now }) => desk(em, who.person, query, now),
  code: ({ em, who, params, query, now }) =>
    checkCode(em, { person: who.person, now }, params.code, query.except),
  createCourse: ({ em, who, body, now }) => createCourse(em, who.person, body, now),
};
