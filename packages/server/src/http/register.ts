/** Registers the contract's routes: first the right, then the input, then the use case. */
import { ROUTES } from '@itinerary/contract';
import type { FieldProblem, Route, RouteName } from '@itinerary/contract';
import { parseWith } from '@itinerary/core';
import type { Express, Request, Response } from 'express';
import type { z } from 'zod';
import type { Config } from '../config/config.ts';
import type { Database, EntityManager } from '../db/orm.ts';
import { Failure } from '../usecases/failure.ts';
import type { FileStore } from '../files/file-store.ts';
import type { Notices } from '../live/notices.ts';
import type { FileToSend } from '../usecases/files/files.ts';
import { authorise } from './authorise.ts';
import type { Caller, CourseCaller, CourseReader } from './authorise.ts';
import { HANDLERS } from './handlers.ts';

/** `/api/courses/{course}` as Express writes it. */
export function expressPath(path: string): string {
  return path.replaceAll(/\{(\w+)\}/g, ':$1');
}

/** What every answer is made from, whatever asked for it. */
export interface Ground {
  readonly config: Config;
  readonly database: Database;
  readonly store: FileStore;
  readonly notices: Notices;
}

/** Somebody who has the right to what they ask for, at the moment at which they ask. */
interface Asker {
  readonly em: EntityManager;
  readonly now: string;
  readonly who: Caller | CourseCaller | CourseReader;
}

/** @throws Failure where they have no right to this route. */
export async function askerOf(
  name: RouteName,
  { config, database }: Ground,
  request: Request,
): Promise<Asker> {
  const em = database.em.fork();
  const now = config.clock.now();
  const who = sessionless(request) ? { person: null } : await authorise(em, ROUTES[name], request, now);
  return { em, now, who };
}

/** One route's answer to somebody who has the right to it: first the input, then the use case. */
export async function answerOf(
  name: RouteName,
  ground: Ground,
  request: Request,
  { em, now, who }: Asker,
  query: unknown,
): Promise<unknown> {
  const route: Route = ROUTES[name];
  return HANDLERS[name]({
    ...ground,
    em,
    now,
    request,
    params: check(route.params, 'address', request.params) as Record<string, string>,
    query: check(route.query, 'query', query) as Record<string, string>,
    body: check(route.body, 'body', request.body) as never,
    who,
    at: who as CourseCaller,
    reader: who as CourseReader,
  });
}

export function registerRoutes(app: Express, ground: Ground): void {
  for (const [name, route] of Object.entries(ROUTES) as [RouteName, Route][]) {
    app[route.method](expressPath(route.path), async (request: Request, response: Response) => {
      const asker = await askerOf(name, ground, request);
      if (route.takesFile === true) endUnread(request, response);
      const answer = await answerOf(name, ground, request, asker, request.query);
      if (route.media === 'text/event-stream') return;
      response.set('Cache-Control', 'no-store');
      if (route.media === 'application/octet-stream') await sendFile(response, answer as FileToSend);
      else if (route.media !== undefined)
        response
          .status(route.status)
          .type(route.media)
          .send(answer as string);
      else if (route.status === 204) response.status(204).end();
      else response.status(route.status).json(answer);
    });
  }
}

/** Health and the OpenAPI document answer without asking who is there. */
function sessionless(request: Request): boolean {
  return request.session === undefined;
}

/** Input that the contract does not name is not passed on. */
function check(schema: z.ZodType | undefined, part: string, input: unknown): unknown {
  if (schema === undefined) return {};
  const parsed = parseWith(schema, input ?? {});
  if (parsed.ok) return parsed.value;
  const errors = parsed.mistakes.map((mistake): FieldProblem => ({
    path: mistake.path,
    value: mistake.value,
    expected: mistake.expected,
  }));
  const places = errors.map(({ path }) => path || part).join(', ');
  throw new Failure('bad_input', `In the ${part}: ${places}`, errors);
}

/** Time for the answer to arrive before the line is cut. */
const LINGER_MS = 1000;

/** A file that is refused is not read to its end: the answer is given, and the line is closed. */
function endUnread(request: Request, response: Response): void {
  response.once('finish', () => {
    if (!request.readableEnded) setTimeout(() => request.destroy(), LINGER_MS).unref();
  });
}

/** Ranges and conditional requests are Express's; scripts in a file never run, wherever it is opened. */
function sendFile(response: Response, { path, name, type, inline, keep = false }: FileToSend): Promise<void> {
  const file = encodeURIComponent(name).replaceAll(
    /['()*]/g,
    (char) => `%${char.charCodeAt(0).toString(16)}`,
  );
  response.set({
    'Content-Type': type,
    'Content-Disposition': `${inline ? 'inline' : 'attachment'}; filename*=UTF-8''${file}`,
    'Content-Security-Policy': "default-src 'none'; sandbox",
    'Cache-Control': keep ? 'private, max-age=31536000, immutable' : 'private, no-cache',
  });
  return new Promise((resolve, reject) => {
    response.sendFile(path, { cacheControl: false, dotfiles: 'allow' }, (error?: NodeJS.ErrnoException) => {
      // Somebody who stops a download, or leaves before it has begun, has done nothing wrong.
      if (error === undefined || response.headersSent || error.code === 'ECONNABORTED') resolve();
      else reject(error);
    });
  });
}
