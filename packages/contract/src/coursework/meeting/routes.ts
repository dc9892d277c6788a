/** Going to a meeting, and who was there. */
import { course, pathId } from '../../shape/route.ts';
import type { Route } from '../../shape/route.ts';
import {
  attendanceSchema,
  hereBodySchema,
  meetingSchema,
  newCodeSchema,
  sayAttendedSchema,
} from './schemas.ts';

const item = course.extend({ item: pathId });

export const MEETING_ROUTES = {
  meeting: {
    method: 'get',
    path: '/api/learn/{course}/items/{item}/meeting',
    access: 'read',
    summary: 'A meeting as it stands: its room until it is over, what is left of it afterwards',
    params: item,
    status: 200,
    answer: meetingSchema,
  },
  sayHere: {
    method: 'post',
    path: '/api/learn/{course}/items/{item}/meeting/here',
    access: 'read',
    summary: 'Say by the code that is good now that one is there; said again it is the same',
    params: item,
    body: hereBodySchema,
    status: 200,
    answer: meetingSchema,
  },
  attendance: {
    method: 'get',
    path: '/api/courses/{course}/items/{item}/meeting',
    access: 'mark',
    summary: 'The list of who was there',
    params: item,
    status: 200,
    answer: attendanceSchema,
  },
  sayAttended: {
    method: 'put',
    path: '/api/courses/{course}/items/{item}/meeting/people',
    access: 'mark',
    summary: 'Say of some who was there',
    params: item,
    body: sayAttendedSchema,
    status: 200,
    answer: attendanceSchema,
  },
  newMeetingCode: {
    method: 'post',
    path: '/api/courses/{course}/items/{item}/meeting/codes',
    access: 'mark',
    summary: 'A code by which learners say that they are there, for ten minutes; the one before is over',
    params: item,
    body: newCodeSchema,
    status: 200,
    answer: attendanceSchema,
  },
} as const satisfies Readonly<Record<string, Route>>;
