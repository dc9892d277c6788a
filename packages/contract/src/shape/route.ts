/** What is said of a route, and what the parameters of many are. */
import { idSchema } from '@itinerary/core';
import type { Right } from '@itinerary/core';
import { z } from 'zod';

/** `create`: may open courses. `planner`: may, or plans one. `institution`: its own staff. `knows`: knows of the course that the address names, in it or not. The rest are rights in that course. */
export type RouteAccess = 'anyone' | 'signed_in' | 'create' | 'planner' | 'institution' | 'knows' | Right;

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
  readonly media?:
    | 'application/json'
    | 'text/csv'
    | 'text/calendar'
    | 'text/plain'
    | 'application/octet-stream'
    | 'text/event-stream';
  /** It changes nothing of a course, or decides itself what it changes of one that is in the archive: those are read. */
  readonly whileArchived?: true;
  /** The body is a file as it is, not JSON. */
  readonly takesFile?: true;
}

export const course = z.object({ course: idSchema });
export const pathId = idSchema;
