/** What went wrong, as an answer: by what errors say of themselves, however deep they are wrapped. */
import { describe, expect, jest, test } from '@jest/globals';
import type { Problem } from '@itinerary/contract';
import type { Request, Response } from 'express';
import type { Logger } from 'pino';
import { lastResort, problemHandler } from '../../src/http/problem.ts';
import { Failure } from '../../src/usecases/failure.ts';

interface Answered {
  readonly status: number | null;
  readonly problem: Problem | null;
  readonly logged: number;
  readonly passedOn: unknown;
}

function answerTo(error: unknown, headersSent = false): Answered {
  const answered: { status: number | null; problem: Problem | null; passedOn: unknown } = {
    status: null,
    problem: null,
    passedOn: undefined,
  };
  const response = {
    headersSent,
    status: (code: number) => {
      answered.status = code;
      return response;
    },
    type: () => response,
    set: () => response,
    json: (body: Problem) => (answered.problem = body),
    send: (body: string | Problem) =>
      (answered.problem = typeof body === 'string' ? (JSON.parse(body) as Problem) : body),
  };
  const log = { error: jest.fn() };
  void problemHandler(log as unknown as Logger)(
    error,
    {} as Request,
    response as unknown as Response,
    (passed: unknown) => (answered.passedOn = passed),
  );
  return { ...answered, logged: log.error.mock.calls.length };
}

const withCode = (code: string, message = 'x'): Error => Object.assign(new Error(message), { code });

describe('a database that does not answer', () => {
  test.each([
    ['refuses the connection', withCode('ECONNREFUSED')],
    ['resets it', withCode('ECONNRESET')],
    ['is told to stop', withCode('57P01')],
    ['loses the connection in the middle', withCode('08006')],
    ['ends it without a code', new Error('Connection terminated unexpectedly')],
    ['lets nobody in', new Error('Knex: Timeout acquiring a connection. The pool is probably full.')],
    ['is said so by the one who asked', new Error('Driver', { cause: withCode('ECONNREFUSED') })],
  ])('%s: 503, to be tried again, and it is no fault to be looked into', (_, error) => {
    const { status, problem, logged } = answerTo(error);
    expect([status, problem?.code, logged]).toEqual([503, 'database_away', 0]);
    // Whether it was saved nobody knows, where the connection went away as it was.
    expect(problem?.detail).toBe('The database does not answer; try again in a moment');
  });
});

describe('a request that cannot be read', () => {
  test.each([
    ['too much', Object.assign(new Error('x'), { type: 'entity.too.large' }), 413, 'too_large'],
    [
      'no JSON',
      Object.assign(new Error('Unexpected token'), { type: 'entity.parse.failed' }),
      400,
      'bad_input',
    ],
    ['a strange encoding', Object.assign(new Error('x'), { type: 'encoding.unsupported' }), 400, 'bad_input'],
    ['a broken address', new URIError('Failed to decode param'), 400, 'bad_input'],
    [
      'another encoding than it says',
      Object.assign(new Error('incorrect header check'), { status: 400 }),
      400,
      'bad_input',
    ],
    ['an address of nothing', Object.assign(new Error('x'), { status: 404 }), 404, 'not_found'],
  ])('%s', (_, error, status, code) => {
    const answered = answerTo(error);
    expect([answered.status, answered.problem?.code, answered.logged]).toEqual([status, code, 0]);
    expect(answered.problem).toMatchObject({ type: `urn:itinerary:problem:${code}`, status });
    expect(answered.problem?.title).toMatch(/\w/);
  });
});

test('a refusal keeps its words and its errors', () => {
  const errors = [{ path: 'code', value: 'X', expected: 'a code that no other course has' }];
  const { status, problem } = answerTo(new Failure('code_taken', 'EFM-210 has it', errors));
  expect(status).toBe(409);
  expect(problem).toMatchObject({ detail: 'EFM-210 has it', errors });
});

test.each([
  ['an error that nobody foresaw', new Error('password=hunter2 in select * from person')],
  ['one that is its own cause', selfCaused()],
  ['what is no error at all', 'a string'],
])('%s is written down, and says nothing of itself', (_, error) => {
  const { status, problem, logged } = answerTo(error);
  expect([status, problem?.code, logged]).toEqual([500, 'internal', 1]);
  expect(JSON.stringify(problem)).not.toMatch(/hunter2|select|string/);
});

test('what is shown of a value is its beginning, however large and deep it is', () => {
  let deep: unknown = 'end';
  for (let at = 0; at < 20_000; at += 1) deep = [deep];
  const errors = [
    { path: 'a', value: deep, expected: 'less' },
    { path: 'b', value: { long: 'x'.repeat(1000) }, expected: 'less' },
    { path: 'c', value: { short: true }, expected: 'more' },
  ];
  const told = answerTo(new Failure('bad_input', 'x', errors)).problem?.errors ?? [];
  expect(told.map(({ value }) => JSON.stringify(value).length)).toEqual([
    expect.any(Number),
    expect.any(Number),
    14,
  ]);
  expect(told[1]?.value).toMatch(/^\{"long":"x+…$/);
  const many = Array.from({ length: 3000 }, (_, at) => ({ path: String(at), value: at, expected: 'none' }));
  expect(answerTo(new Failure('bad_input', 'x', many)).problem?.errors).toHaveLength(20);
});

test('where saying it fails as well, the last resort says the same for everything, or ends what was begun', () => {
  const said = { status: 0, body: '', destroyed: false };
  const response = (headersSent: boolean): Response =>
    ({
      headersSent,
      status(code: number) {
        said.status = code;
        return this;
      },
      type() {
        return this;
      },
      send: (body: string) => (said.body = body),
      destroy: () => (said.destroyed = true),
    }) as unknown as Response;
  const log = { error: jest.fn() } as unknown as Logger;
  void lastResort(log)(new Error('secret path'), {} as Request, response(false), () => undefined);
  expect(said.status).toBe(500);
  expect(JSON.parse(said.body)).toMatchObject({ code: 'internal', status: 500 });
  expect(said.body).not.toContain('secret');
  void lastResort(log)(new Error('x'), {} as Request, response(true), () => undefined);
  expect(said.destroyed).toBe(true);
});

function selfCaused(): Error {
  const error = new Error('round and round');
  error.cause = error;
  return error;
}

test('once an answer has begun there is no other: the connection is broken off', () => {
  const error = new Error('late');
  const { status, passedOn } = answerTo(error, true);
  expect([status, passedOn]).toEqual([null, error]);
});
