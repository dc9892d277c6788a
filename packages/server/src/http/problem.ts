/** The one place that maps what went wrong to an answer (RFC 9457). A route never picks a failure status. */
import type { FieldProblem, Problem, ProblemCode } from '@itinerary/contract';
import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { Failure } from '../usecases/failure.ts';

const STATUS: Readonly<Record<ProblemCode, number>> = {
  bad_input: 400,
  not_signed_in: 401,
  wrong_name_or_password: 401,
  wrong_passphrase: 403,
  too_many_attempts: 429,
  not_allowed: 403,
  foreign_origin: 403,
  not_found: 404,
  code_taken: 409,
  out_of_step: 409,
  blocked: 409,
  too_large: 413,
  internal: 500,
  database_away: 503,
};

const TITLE: Readonly<Record<ProblemCode, string>> = {
  bad_input: 'Something in the request is not as expected',
  not_signed_in: 'You are not signed in',
  wrong_name_or_password: 'Wrong address or password',
  wrong_passphrase: 'Wrong passphrase',
  too_many_attempts: 'Too many attempts',
  not_allowed: 'You may not do this',
  foreign_origin: 'The request comes from another site',
  not_found: 'Not found',
  code_taken: 'The course code is taken',
  out_of_step: 'You are ahead of the server',
  blocked: 'Something stands in the way',
  too_large: 'The request is too large',
  internal: 'Something broke on our side',
  database_away: 'The database does not answer',
};

export function sendProblem(response: Response, failure: Failure): void {
  const status = STATUS[failure.code];
  const problem: Problem = {
    type: `urn:itinerary:problem:${failure.code}`,
    title: TITLE[failure.code],
    status,
    detail: failure.message,
    code: failure.code,
    ...(failure.errors.length > 0 ? { errors: failure.errors.map(shorten) } : {}),
  };
  if (failure.retryAfter !== null) response.set('Retry-After', String(failure.retryAfter));
  response.status(status).type('application/problem+json').send(JSON.stringify(problem));
}

const MOST_SHOWN = 200;

function shorten(error: FieldProblem): FieldProblem {
  const text = JSON.stringify(error.value) ?? 'undefined';
  return text.length <= MOST_SHOWN ? error : { ...error, value: `${text.slice(0, MOST_SHOWN)}…` };
}

/** Errors that drivers and middleware throw, by what they say of themselves. */
function toFailure(error: unknown): Failure | null {
  if (error instanceof Failure) return error;
  if (!(error instanceof Error)) return null;
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
  if (isConnectionLoss(code, error.message)) {
    return new Failure('database_away', 'The database does not answer; nothing was saved, try again');
  }
  // What breaks a rule of the database (PostgreSQL's class 23) will break it however often it is sent.
  if (code !== undefined && /^23...$/.test(code)) {
    return new Failure('bad_input', 'What was sent breaks a rule of the database; nothing was saved');
  }
  return cause === undefined || cause === error ? null : toFailure(cause);
}

/** Socket errors, and PostgreSQL's classes 08 (connection) and 57P (shutdown). */
function isConnectionLoss(code: string | undefined, message: string): boolean {
  if (code !== undefined && /^(ECONN(REFUSED|RESET)|EPIPE|ETIMEDOUT|08...|57P0.)$/.test(code)) return true;
  return /Connection terminated|Connection ended|Timeout acquiring a connection|not queryable|client has encountered a connection error/i.test(
    message,
  );
}

export function problemHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const failure = toFailure(error);
    if (failure === null) log.error({ err: error }, 'request failed');
    sendProblem(response, failure ?? new Failure('internal', 'The request failed; nothing was saved'));
  };
}
