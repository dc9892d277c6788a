/** Registers the contract's routes: first the right, then the input, then the use case. */
import { ROUTES } from '@itinerary/contract';
import type { AccessOf, FieldProblem, Route, RouteName } from '@itinerary/contract';
import { MOST_TOLD, parseWith } from '@itinerary/core';
import type { Course } from '@itinerary/core';
import etag from 'etag';
import type { Express, Request, Response } from 'express';
import type { z } from 'zod';
import type { EntityManager } from '../db/orm.ts';
import { Failure } from '../usecases/failure.ts';
import type { FileToSend } from '../usecases/files/files.ts';
import type { Figures } from '../figures/figures.ts';
import { AUTHORISE } from './authorise.ts';
import type { Answer, Call, Ground, WhoFor } from './call.ts';
import { checkAnswer } from './check-answer.ts';
import { endUnread } from './end-unread.ts';
import { HANDLERS } from './handlers.ts';
import { incomingFile } from './pieces.ts';
import { isAnswered } from './unless-away.ts';

/** `/api/courses/{course}` as Express writes it. */
export function expressPath(path: string): string {
  return path.replaceAll(/\{(\w+)\}/g, ':$1');
}

/** Somebody who has the right to what they ask for, at the moment at which they ask. */
export interface Asker<Who> {
  readonly em: EntityManager;
  readonly now: string;
  readonly who: Who;
}

/** @throws Failure where they have no right to this route. */
export async function askerOf<Name extends RouteName>(
  name: Name,
  { config, database }: Ground,
  request: Request,
): Promise<Asker<WhoFor<AccessOf<Name>>>> {
  const em = database.em.fork();
  const now = config.clock.now();
  const access: AccessOf<Name> = ROUTES[name].access;
  const who = await AUTHORISE[access]({ em, request, now });
  if ('loaded' in who) mustBeChangeable(ROUTES[name], who.loaded.course);
  return { em, now, who: who as WhoFor<AccessOf<Name>> };
}

/** What is in the archive is read, whatever the address is under which it would be changed. */
function mustBeChangeable({ method, whileArchived }: Route, { state }: Course): void {
  if (method === 'get' || whileArchived === true || state !== 'archived') return;
  throw new Failure('not_allowed', 'The course is in the archive, where it is only read; take it out first');
}

/** One route's answer to somebody who has the right to it: first the input, then the use case. */
export async function answerOf<Name extends RouteName>(
  name: Name,
  ground: Ground,
  request: Request,
  { em, now, who }: Asker<WhoFor<AccessOf<Name>>>,
  query: unknown,
): Promise<Answer<Name>> {
  const route: Route = ROUTES[name];
  // The one place where what the schemas have checked becomes what they are inferred to give.
  const checked = {
    params: check(route.params, 'address', request.params),
    query: check(route.query, 'query', query),
    body: check(route.body, 'body', request.body),
  };
  const { upload = null } = checked.query as { readonly upload?: string };
  const sent = { upload: route.takesFile === true ? upload : null, person: who.person?.id ?? null };
  const { file, done } = await incomingFile(ground, request, sent);
  const call = { ...ground, ...checked, em, now, request, file, who } as Call<Name>;
  let is: 'taken' | 'refused' | 'broken' = 'broken';
  try {
    const answer = await HANDLERS[name](call);
    is = 'taken';
    if (ground.config.checksAnswers) checkAnswer(name, route, answer);
    return answer;
  } catch (error) {
    // Whoever is told to come back sends nothing anew.
    if (error instanceof Failure && !['busy', 'database_away'].includes(error.code)) is = 'refused';
    throw error;
  } finally {
    done(is);
  }
}

function register<Name extends RouteName>(app: Express, ground: Ground, name: Name): void {
  const route: Route = ROUTES[name];
  app[route.method](expressPath(route.path), async (request: Request, response: Response) => {
    // What goes on as long as somebody looks is no answer that took so long.
    if (route.media !== 'text/event-stream') watch(ground.figures, name, response);
    const ask = async (): Promise<Answer<Name>> => {
      const asker = await askerOf(name, ground, request);
      if (route.takesFile === true) endUnread(request, response);
      return answerOf(name, ground, request, asker, request.query);
    };
    const { look, change } = ground.readers;
    const answer = await (isPage(route) ? look(ask) : name === 'changes' ? change(ask) : ask());
    if (route.media === 'text/event-stream' || isAnswered(response)) return;
    response.set('Cache-Control', 'no-store');
    if (route.media === 'application/octet-stream') await sendFile(response, answer as FileToSend);
    else if (route.media !== undefined) response.status(route.status).type(route.media).send(answer);
    else if (route.status === 204) response.status(204).end();
    else sendJson(route, request, response, answer);
  });
}

/** What looks, and changes nothing; files and what goes on are no pages, nor is what must answer whoever else asks. */
const isPage = ({ method, media, access }: Route): boolean =>
  method === 'get' && media === undefined && access !== 'anyone';

/** What somebody has already is not sent again; whoever asks says by its mark what they have. */
function sendJson(route: Route, request: Request, response: Response, answer: unknown): void {
  const body = JSON.stringify(answer);
  if (route.method === 'get') {
    const tag = etag(body, { weak: true });
    response.set('ETag', tag);
    // Not by what the request says of caches: a browser adds that by itself where a page names the mark.
    if (request.headers['if-none-match'] === tag) {
      response.status(304).end();
      return;
    }
  }
  response.status(route.status).type('application/json').send(body);
}

function watch(figures: Figures, name: RouteName, response: Response): void {
  const begun = performance.now();
  response.once('finish', () => {
    figures.answered(name, response.statusCode, (performance.now() - begun) / 1000);
  });
}

export function registerRoutes(app: Express, ground: Ground): void {
  for (const name of Object.keys(ROUTES) as RouteName[]) register(app, ground, name);
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
  const told = errors.slice(0, MOST_TOLD);
  const rest = errors.length - told.length;
  const places = told.map(({ path }) => path || part).join(', ');
  throw new Failure('bad_input', `In the ${part}: ${places}${rest > 0 ? `, and ${rest} more` : ''}`, told);
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
