/** The plan of a course and its changes. */
import { course, pathId } from '../shape/route.ts';
import type { Route } from '../shape/route.ts';
import { changesAnswerSchema, changesRequestSchema, planSchema, textAnswerSchema } from './schemas.ts';

export const PLAN_ROUTES = {
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
    whileArchived: true,
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
} as const satisfies Readonly<Record<string, Route>>;
