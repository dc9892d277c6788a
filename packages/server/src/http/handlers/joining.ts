/** Joining a course by its code, and leaving it. */
import type { JOINING_ROUTES } from '@itinerary/contract';
import { readCode } from '@itinerary/core/people';
import { courseOfCode, newJoinCode, waysIn } from '../../usecases/joining/join-code.ts';
import { join, joinPage, leave } from '../../usecases/joining/join.ts';
import type { HandlersOf } from '../call.ts';
import { placeOf } from '../place.ts';

export const JOINING: HandlersOf<typeof JOINING_ROUTES> = {
  joinPage: async ({ em, attempts, who, params, request, now }) => {
    const course = await courseOfCode(em, attempts, params.code, placeOf(request));
    return joinPage(em, course, who.person, now);
  },
  join: async ({ em, attempts, who, params, request, now }) => {
    const course = await courseOfCode(em, attempts, params.code, placeOf(request));
    await join(em.fork(), readCode(params.code) ?? '', course, who.person, now);
    return { course };
  },
  leave: ({ em, who, now }) => leave(em, who.loaded.course.id, who.person, now),
  waysIn: ({ em, who }) => waysIn(em, who.loaded.course.id),
  newJoinCode: ({ em, who, now }) => newJoinCode(em, who.loaded.course.id, now),
};
