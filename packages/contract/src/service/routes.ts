/** Whether it is well, and what is told while somebody looks. */
import { z } from 'zod';
import { aliveSchema, healthSchema } from './schemas.ts';
import type { Route } from '../shape/route.ts';

export const SERVICE_ROUTES = {
  health: {
    method: 'get',
    path: '/api/health',
    access: 'anyone',
    summary: 'Whether pages can be answered, part by part; 503 names the parts that are away',
    status: 200,
    answer: healthSchema,
  },
  alive: {
    method: 'get',
    path: '/api/health/alive',
    access: 'anyone',
    summary: 'That the process answers, whatever it stands on',
    status: 200,
    answer: aliveSchema,
  },
  openapi: {
    method: 'get',
    path: '/api/openapi.json',
    access: 'anyone',
    summary: 'This interface as an OpenAPI 3.1 document',
    status: 200,
    answer: z.looseObject({ openapi: z.string() }),
  },
  events: {
    method: 'get',
    path: '/api/events',
    access: 'signed_in',
    summary:
      'Server-sent events: `look` when something that one gets has changed, `course` with `{id, seq}` for those who plan it, `missed` when any of it may have been said unheard',
    status: 200,
    media: 'text/event-stream',
  },
} as const satisfies Readonly<Record<string, Route>>;
