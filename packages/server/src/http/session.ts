/** Sessions live in PostgreSQL; the browser holds an HttpOnly cookie. */
import connectPgSimple from 'connect-pg-simple';
import type { RequestHandler, Request } from 'express';
import session from 'express-session';
import type { Pool } from 'pg';
import type { Config } from '../config/config.ts';

declare module 'express-session' {
  interface SessionData {
    person: string;
    /** Courses that somebody visits with a passphrase: by id, until when (ISO, UTC). */
    visits: Record<string, string>;
  }
}

export const COOKIE = 'itinerary';
const TWO_WEEKS_MS = 14 * 24 * 60 * 60 * 1000;

export function sessions(config: Config, pool: Pool): RequestHandler {
  const Store = connectPgSimple(session);
  return session({
    name: COOKIE,
    secret: config.sessionSecret,
    resave: false,
    saveUninitialized: false,
    rolling: false,
    // A session ends when its cookie does, two weeks after signing in, so there is nothing to write when it is used.
    store: new Store({ pool, tableName: 'session', pruneSessionInterval: false, disableTouch: true }),
    cookie: { httpOnly: true, sameSite: 'lax', secure: config.secure, maxAge: TWO_WEEKS_MS, path: '/' },
  });
}

/** A visit ends after an hour without a page. */
const VISIT_MS = 60 * 60 * 1000;

export function isVisiting(request: Request, course: string, now: string): boolean {
  const until = request.session.visits?.[course];
  return until !== undefined && Date.parse(now) < Date.parse(until);
}

/** Begins a visit, or goes on with it. */
export function visit(request: Request, course: string, now: string): void {
  const until = new Date(Date.parse(now) + VISIT_MS).toISOString();
  request.session.visits = { ...request.session.visits, [course]: until };
}

/** A new session id for a new sign-in, so that one planted before it is worth nothing. */
export function startSession(request: Request, person: string): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.regenerate((failed: unknown) => {
      if (failed) {
        reject(failed as Error);
        return;
      }
      request.session.person = person;
      request.session.save((unsaved: unknown) => (unsaved ? reject(unsaved as Error) : resolve()));
    });
  });
}

export function endSession(request: Request): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.destroy((failed: unknown) => (failed ? reject(failed as Error) : resolve()));
  });
}
