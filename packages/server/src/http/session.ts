/** Sessions live in PostgreSQL; the browser holds an HttpOnly cookie. */
import connectPgSimple from 'connect-pg-simple';
import type { RequestHandler, Request } from 'express';
import session from 'express-session';
import type { SessionData } from 'express-session';
import type { Pool } from 'pg';
import type { Config } from '../config/config.ts';

interface Visit {
  /** ISO, UTC. */
  readonly until: string;
  /** The mark of the passphrase that it is by. */
  readonly by: string;
}

declare module 'express-session' {
  interface SessionData {
    person: string;
    /** When they signed in, ISO, UTC, and on what: for them to know it by. */
    since: string;
    browser: string;
    /** Courses that somebody visits with a passphrase, by id. */
    visits: Record<string, Visit>;
  }
}

export const COOKIE = 'itinerary';
const TWO_WEEKS_MS = 14 * 24 * 60 * 60 * 1000;

/** Rows of those who ask, as they came with their sessions. */
const persons = new WeakMap<object, object>();

/** The row of whoever asks, as it was when the request came; null: nobody has signed in. */
export const personRowOf = (request: Request): object | null => persons.get(request) ?? null;

/** Sessions, each asked for together with the person whose it is: one question says who asks. */
function storeWithPersons(pool: Pool): session.Store {
  const Store = connectPgSimple(session);
  class WithPersons extends Store {
    override get(sid: string, done: (error: unknown, found?: SessionData | null) => void): void {
      pool
        .query<{ sess: SessionData; person: object | null }>({
          name: 'session',
          text: `select sess, (select to_jsonb(person) from person where person.id = sess ->> 'person') as person
             from session where sid = $1 and expire >= now()`,
          values: [sid],
        })
        .then(
          ({ rows: [row] }) => {
            if (row?.person != null) persons.set(row.sess, row.person);
            done(null, row?.sess ?? null);
          },
          (error: unknown) => done(error),
        );
    }

    override createSession(request: Request, found: SessionData): session.Session & SessionData {
      const person = persons.get(found);
      if (person !== undefined) persons.set(request, person);
      return super.createSession(request, found);
    }
  }
  // A session ends when its cookie does, two weeks after signing in, so there is nothing to write when it is used.
  return new WithPersons({ pool, tableName: 'session', pruneSessionInterval: false, disableTouch: true });
}

export function sessions(config: Config, pool: Pool): RequestHandler {
  return session({
    name: COOKIE,
    secret: config.sessionSecret,
    resave: false,
    saveUninitialized: false,
    rolling: false,
    store: storeWithPersons(pool),
    cookie: { httpOnly: true, sameSite: 'lax', secure: config.secure, maxAge: TWO_WEEKS_MS, path: '/' },
  });
}

/** From the passphrase on, however many pages are looked at. */
const VISIT_MS = 60 * 60 * 1000;

/** @returns the mark of the passphrase that the visit is by; null: there is none, or it is over. */
export function visitBy(request: Request, course: string, now: string): string | null {
  const { visits = {} } = request.session;
  const found = Object.hasOwn(visits, course) ? visits[course] : undefined;
  return found !== undefined && Date.parse(now) < Date.parse(found.until) ? found.by : null;
}

export function beginVisit(request: Request, course: string, by: string, now: string): void {
  const until = new Date(Date.parse(now) + VISIT_MS).toISOString();
  request.session.visits = { ...request.session.visits, [course]: { until, by } };
}

const LONGEST_BROWSER = 300;

/** A new session id for a new sign-in, so that one planted before it is worth nothing. */
export function startSession(request: Request, person: string, now: string): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.regenerate((failed: unknown) => {
      if (failed) {
        reject(failed as Error);
        return;
      }
      request.session.person = person;
      request.session.since = now;
      request.session.browser = (request.headers['user-agent'] ?? '').slice(0, LONGEST_BROWSER);
      request.session.save((unsaved: unknown) => (unsaved ? reject(unsaved as Error) : resolve()));
    });
  });
}

export function endSession(request: Request): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.destroy((failed: unknown) => (failed ? reject(failed as Error) : resolve()));
  });
}

const KNOWN_COOKIE = 'itinerary-known';
const A_YEAR_MS = 365 * 24 * 60 * 60 * 1000;

/** What the browser says of who has signed in on it; whether that is so is for others to check. */
export function knownCookie(request: Request): string {
  const found = new RegExp(`(?:^|; )${KNOWN_COOKIE}=([A-Za-z0-9_.-]*)`).exec(request.headers.cookie ?? '');
  return found?.[1] ?? '';
}

export function rememberKnown(request: Request, value: string, secure: boolean): void {
  const path = '/api/session';
  request.res?.cookie(KNOWN_COOKIE, value, {
    httpOnly: true,
    sameSite: 'strict',
    secure,
    maxAge: A_YEAR_MS,
    path,
  });
}
