/**
 * Every route of the interface to programs: its address, the right it needs, what it takes and gives.
 * The server registers exactly these, `/api/openapi.json` is made from them, and a test walks them all.
 */
import { idSchema, storableSchema } from '@itinerary/core';
import type { Right } from '@itinerary/core';
import { z } from 'zod';
import {
  changesAnswerSchema,
  changesRequestSchema,
  codeAnswerSchema,
  createdSchema,
  deskSchema,
  newCourseSchema,
  passphraseAnswerSchema,
  planSchema,
  textAnswerSchema,
  uploadAnswerSchema,
} from './courses.ts';
import { classmatesSchema, readCourseSchema, readItemSchema, visitSchema } from './learner.ts';
import {
  addMembersSchema,
  demoPeopleSchema,
  demoSignInSchema,
  holidaysSchema,
  memberGroupsSchema,
  membersSchema,
  meSchema,
  ownMomentsListSchema,
  ownMomentsSchema,
  passphraseSchema,
  peopleSchema,
  readHolidaysSchema,
  signInSchema,
  standingSchema,
} from './people.ts';

/** `create`: may open courses. `institution`: its own staff. The rest are rights in the course that the address names. */
export type RouteAccess = 'anyone' | 'signed_in' | 'create' | 'institution' | Right;

export interface Route {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  /** With `{name}` for parameters, as OpenAPI writes them. */
  readonly path: string;
  readonly access: RouteAccess;
  readonly summary: string;
  readonly params?: z.ZodType;
  readonly query?: z.ZodType;
  readonly body?: z.ZodType;
  readonly status: 200 | 201 | 204;
  readonly answer?: z.ZodType;
  /** Of an answer that is not JSON. */
  readonly media?: 'text/csv' | 'application/octet-stream' | 'text/event-stream';
  /** The body is a file as it is, not JSON. */
  readonly takesFile?: true;
}

const course = z.object({ course: idSchema });
const pathId = idSchema;

export const healthSchema = z.object({
  status: z.enum(['ok', 'degraded']),
  database: z.enum(['ok', 'away']),
});

export const ROUTES = {
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
  readHolidays: {
    method: 'post',
    path: '/api/holidays',
    access: 'institution',
    summary: 'Read holidays from an iCalendar file (RFC 5545); those with the same UID are replaced',
    body: readHolidaysSchema,
    status: 200,
    answer: holidaysSchema,
  },
  removeHoliday: {
    method: 'delete',
    path: '/api/holidays/{holiday}',
    access: 'institution',
    summary: 'Take a holiday off the institution’s list',
    params: z.object({ holiday: pathId }),
    status: 200,
    answer: holidaysSchema,
  },
  desk: {
    method: 'get',
    path: '/api/desk',
    access: 'signed_in',
    summary: "One's courses",
    status: 200,
    answer: deskSchema,
  },
  code: {
    method: 'get',
    path: '/api/codes/{code}',
    access: 'create',
    summary: 'Whether a course code is free, who has it, and a free one',
    params: z.object({ code: storableSchema.min(1).max(200) }),
    query: z.object({ except: idSchema.optional() }),
    status: 200,
    answer: codeAnswerSchema,
  },
  createCourse: {
    method: 'post',
    path: '/api/courses',
    access: 'create',
    summary: 'Open a new course as a draft',
    body: newCourseSchema,
    status: 201,
    answer: createdSchema,
  },
  plan: {
    method: 'get',
    path: '/api/courses/{course}/plan',
    access: 'plan',
    summary: "A course's whole plan and its sequence number",
    params: course,
    status: 200,
    answer: planSchema,
  },
  changes: {
    method: 'post',
    path: '/api/courses/{course}/changes',
    access: 'plan',
    summary: 'Send changes, and get all that were taken since a sequence number',
    params: course,
    body: changesRequestSchema,
    status: 200,
    answer: changesAnswerSchema,
  },
  text: {
    method: 'get',
    path: '/api/courses/{course}/texts/{hash}',
    access: 'plan',
    summary: 'A long text of the plan, by its hash',
    params: course.extend({ hash: pathId }),
    status: 200,
    answer: textAnswerSchema,
  },
  upload: {
    method: 'post',
    path: '/api/courses/{course}/files',
    access: 'plan',
    summary:
      'Upload a file: its bytes as the body, its name in the query; refused while it arrives when too large',
    params: course,
    query: z.object({ name: storableSchema.trim().min(1).max(200) }),
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
  members: {
    method: 'get',
    path: '/api/courses/{course}/members',
    access: 'plan',
    summary: 'Who is on the course',
    params: course,
    status: 200,
    answer: membersSchema,
  },
  candidates: {
    method: 'get',
    path: '/api/courses/{course}/candidates',
    access: 'members',
    summary: 'People of the institution who are not on the course, by name or address',
    params: course,
    query: z.object({ find: storableSchema.max(100).default('') }),
    status: 200,
    answer: peopleSchema,
  },
  addMembers: {
    method: 'post',
    path: '/api/courses/{course}/members',
    access: 'members',
    summary: 'Put people on the course',
    params: course,
    body: addMembersSchema,
    status: 200,
    answer: membersSchema,
  },
  removeMember: {
    method: 'delete',
    path: '/api/courses/{course}/members/{person}',
    access: 'members',
    summary: 'Take somebody off the course',
    params: course.extend({ person: pathId }),
    status: 200,
    answer: membersSchema,
  },
  memberGroups: {
    method: 'put',
    path: '/api/courses/{course}/members/{person}/groups',
    access: 'members',
    summary: 'Say which groups and classes of the course somebody is in',
    params: course.extend({ person: pathId }),
    body: memberGroupsSchema,
    status: 200,
    answer: membersSchema,
  },
  standing: {
    method: 'get',
    path: '/api/courses/{course}/members/{person}/standing',
    access: 'plan',
    summary: 'Where somebody on the course stands: groups, moments of their own, what they have done',
    params: course.extend({ person: pathId }),
    status: 200,
    answer: standingSchema,
  },
  ownMoments: {
    method: 'get',
    path: '/api/courses/{course}/exceptions',
    access: 'plan',
    summary: 'Moments of single persons; those of groups and classes stand in the course',
    params: course,
    status: 200,
    answer: ownMomentsListSchema,
  },
  setOwnMoments: {
    method: 'put',
    path: '/api/courses/{course}/exceptions/{exception}',
    access: 'plan',
    summary: 'Give one person other moments on a section or item',
    params: course.extend({ exception: pathId }),
    body: ownMomentsSchema,
    status: 200,
    answer: ownMomentsListSchema,
  },
  removeOwnMoments: {
    method: 'delete',
    path: '/api/courses/{course}/exceptions/{exception}',
    access: 'plan',
    summary: 'Take somebody’s own moments away',
    params: course.extend({ exception: pathId }),
    status: 200,
    answer: ownMomentsListSchema,
  },
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
  events: {
    method: 'get',
    path: '/api/events',
    access: 'signed_in',
    summary:
      'Server-sent events: `look` when something that one gets has changed, `course` with `{id, seq}` for those who plan it',
    status: 200,
    media: 'text/event-stream',
  },
  visit: {
    method: 'post',
    path: '/api/learn/{course}/visit',
    access: 'read',
    summary: 'Give the passphrase for visitors, for this visit',
    params: course,
    body: visitSchema,
    status: 204,
  },
  classmates: {
    method: 'get',
    path: '/api/learn/{course}/members',
    access: 'read',
    summary: 'The others on the course, as far as the course lets one see them',
    params: course,
    status: 200,
    answer: classmatesSchema,
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
  readCourse: {
    method: 'get',
    path: '/api/learn/{course}',
    access: 'read',
    summary: 'A course as the reader gets it',
    params: course,
    status: 200,
    answer: readCourseSchema,
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
  readGuide: {
    method: 'get',
    path: '/api/learn/{course}/guide.csv',
    access: 'read',
    summary: 'The pacing guide as CSV: what this person gets of the course, with its dates',
    params: course,
    status: 200,
    media: 'text/csv',
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
} as const satisfies Readonly<Record<string, Route>>;

export type RouteName = keyof typeof ROUTES;
