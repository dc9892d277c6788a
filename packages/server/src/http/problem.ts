/** The one place that maps what went wrong to an answer (RFC 9457). A route never picks a failure status. */
import { types } from 'node:util';
import type { FieldProblem, Problem, ProblemCode } from '@itinerary/contract';
import { beginningOf, MOST_TOLD } from '@itinerary/core';
import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { Busy } from '../lanes/lane.ts';
import { Failure } from '../usecases/failure.ts';

const STATUS: Readonly<Record<ProblemCode, number>> = {
  bad_input: 400,
  not_signed_in: 401,
  wrong_name_or_password: 401,
  wrong_passphrase: 403,
  too_many_attempts: 429,
  too_often: 429,
  not_allowed: 403,
  foreign_origin: 403,
  not_found: 404,
  code_taken: 409,
  out_of_step: 409,
  members_changed: 409,
  cannot_join: 403,
  cannot_choose: 409,
  cannot_hand_in: 409,
  changed_elsewhere: 409,
  blocked: 409,
  too_large: 413,
  internal: 500,
  busy: 503,
  database_away: 503,
  disk_full: 507,
};

const TITLE: Readonly<Record<ProblemCode, string>> = {
  bad_input: 'Something in the request is not as expected',
  not_signed_in: 'You are not signed in',
  wrong_name_or_password: 'Wrong address or password',
  wrong_passphrase: 'Wrong passphrase',
  too_many_attempts: 'Too many attempts',
  too_often: 'Too often in a short time',
  not_allowed: 'You may not do this',
  foreign_origin: 'The request comes from another site',
  not_found: 'Not found',
  code_taken: 'The course code is taken',
  out_of_step: 'You are ahead of the server',
  cannot_join: 'You cannot join this course',
  cannot_choose: 'This group cannot be chosen',
  cannot_hand_in: 'It cannot be handed in',
  changed_elsewhere: 'It has been changed elsewhere',
  members_changed: 'Somebody has changed the members meanwhile',
  blocked: 'Something stands in the way',
  too_large: 'The request is too large',
  internal: 'Something broke on our side',
  busy: 'Very much is asked for just now',
  database_away: 'The database does not answer',
  disk_full: 'The disk is full',
};

function problemOf(failure: Failure): Problem {
  return {
    type: `urn:itinerary:problem:${failure.code}`,
    title: TITLE[failure.code],
    status: STATUS[failure.code],
    detail: failure.message,
    code: failure.code,
    ...(failure.errors.length > 0 ? { errors: failure.errors.slice(0, MOST_TOLD).map(shorten) } : {}),
  };
}

export function sendProblem(response: Response, failure: Failure): void {
  if (failure.retryAfter !== null) response.set('Retry-After', String(failure.retryAfter));
  const problem = problemOf(failure);
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
}

/** Whatever answers by itself, as pieces of files do, says the same. */
export function diskFull(): { readonly status: number; readonly body: string } {
  const problem = problemOf(noRoom());
  return { status: problem.status, body: JSON.stringify(problem) };
}

const noRoom = (): Failure =>
  new Failure('disk_full', 'The disk of this installation is full; nothing of this was saved');

const MOST_SHOWN = 200;

/** What stands there is shown as it is while it is short, and by its beginning otherwise. */
function shorten(error: FieldProblem): FieldProblem {
  const text = beginningOf(error.value, MOST_SHOWN + 1);
  return text.length <= MOST_SHOWN ? error : { ...error, value: `${text.slice(0, MOST_SHOWN)}…` };
}

/** In seconds: when it may be tried again. */
const SOON_S = 2;

/** Errors that drivers and middleware throw, by what they say of themselves. */
function toFailure(error: unknown): Failure | null {
  if (error instanceof Failure) return error;
  if (error instanceof Busy) return new Failure('busy', error.message, [], error.retryAfter);
  // Also of another realm than this one, as the errors of Node's own parts can be.
  if (!(error instanceof Error || types.isNativeError(error))) return null;
  const { code, type, cause, status } = error as Error & { code?: string; type?: string; status?: number };
  if (status === 404) return new Failure('not_found', 'There is nothing here');
  if (type === 'entity.too.large')
    return new Failure('too_large', 'The request is larger than this server takes');
  if (type === 'entity.parse.failed') {
    return new Failure('bad_input', 'The request is not JSON', [
      { path: '', value: error.message, expected: 'a JSON document' },
    ]);
  }
  if (type === 'encoding.unsupported' || type === 'charset.unsupported' || error instanceof URIError) {
    return new Failure('bad_input', error.message);
  }
  // Whatever the readers of requests found wrong with one: what they say of it can name what is theirs alone.
  if (isUnreadable(error))
    return new Failure('bad_input', 'The request cannot be read as what it says it is');
  // Somebody else holds what it is about (lock_not_available), or it took too long (query_canceled).
  if (code === '55P03' || code === '57014') {
    return new Failure(
      'busy',
      'Somebody else is changing the same just now; try again in a moment',
      [],
      SOON_S,
    );
  }
  // Of our own files, and of the database's (disk_full).
  if (code === 'ENOSPC' || code === 'EDQUOT' || code === '53100') return noRoom();
  if (isConnectionLoss(code, error.message)) {
    return databaseAway();
  }
  // What breaks a rule of the database (PostgreSQL's class 23) will break it however often it is sent.
  if (code !== undefined && /^23...$/.test(code)) {
    return new Failure('bad_input', 'What was sent breaks a rule of the database; nothing was saved');
  }
  return cause === undefined || cause === error ? null : toFailure(cause);
}

export const databaseAway = (): Failure =>
  new Failure('database_away', 'The database does not answer; try again in a moment', [], SOON_S);

/** Errors of body-parser carry a status of the caller's fault. */
function isUnreadable(error: Error): boolean {
  const { status } = error as Error & { status?: unknown };
  return typeof status === 'number' && status >= 400 && status < 500;
}

/** Socket errors, and PostgreSQL's classes 08 (connection), 57P (shutdown), and 25P03 (let go, having stopped in the middle). */
function isConnectionLoss(code: string | undefined, message: string): boolean {
  if (code !== undefined && /^(ECONN(REFUSED|RESET)|EPIPE|ETIMEDOUT|08...|57P0.|25P03)$/.test(code))
    return true;
  return /Connection terminated|Connection ended|Timeout acquiring a connection|timeout expired|timeout exceeded when trying to connect|not queryable|client has encountered a connection error/i.test(
    message,
  );
}

export function problemHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    // Somebody has been told already, while this was still under way.
    if (response.writableEnded) return;
    if (response.headersSent) {
      next(error);
      return;
    }
    const failure = toFailure(error);
    if (failure === null) log.error({ err: error }, 'request failed');
    sendProblem(response, failure ?? new Failure('internal', 'The request failed on our side'));
  };
}

const FIXED = JSON.stringify({
  type: 'urn:itinerary:problem:internal',
  title: TITLE.internal,
  status: STATUS.internal,
  detail: 'The request failed on our side',
  code: 'internal',
} satisfies Problem);

/** Where even saying what went wrong goes wrong: always the same words, or the end of what was begun. */
export function lastResort(log: Logger): ErrorRequestHandler {
  // Express tells handlers of errors by their four parameters.
  return (_error: unknown, _request, response, _next) => {
    void _next;
    log.error('a request failed, and saying so failed');
    if (response.headersSent) response.destroy();
    else response.status(STATUS.internal).type('application/problem+json').send(FIXED);
  };
}
