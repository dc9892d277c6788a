/** Asks the server. Only types come from the contract: the learner's pages carry no schemas. */
import type {
  AnswerOf,
  ParamsOf,
  Problem,
  QueryInput,
  RequestLine,
  RouteAt,
  SentBody,
} from '@itinerary/contract';
import type { DeepReadonly } from '@itinerary/core';
import { takeFirstAnswer } from './first-answers.ts';
import { keepAnswer, knownAnswer } from './known-answers.ts';

/** The server said no, and said why. */
export class ProblemError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail ?? problem.title);
  }
}

/** No answer came: the network or the server is away. */
export class UnreachableError extends Error {}

type None = Readonly<Record<string, never>>;
/** A part of a request: asked for where the route has it, and nothing elsewhere. */
type Part<Name extends string, Value> = [Value] extends [undefined | None]
  ? { readonly [Key in Name]?: undefined }
  : { readonly [Key in Name]: Value };

/** All that a route wants to know, by its own schemas. */
export type Given<Line extends RequestLine> = Part<'params', ParamsOf<RouteAt<Line>>> &
  Part<'body', DeepReadonly<SentBody<RouteAt<Line>>>> & { readonly query?: QueryInput<RouteAt<Line>> };

export interface Sending {
  /** Lets the request outlive the page that sent it. */
  readonly keepalive?: boolean;
  readonly signal?: AbortSignal;
}

export interface Filling {
  readonly params?: Readonly<Record<string, string>> | undefined;
  readonly query?: Readonly<Record<string, string | undefined>> | undefined;
}

/** The address of a route, its parameters filled in and made safe. */
export function addressOf(line: RequestLine, { params = {}, query = {} }: Filling): string {
  const address = line
    .slice(line.indexOf(' ') + 1)
    .replaceAll(/\{(\w+)\}/g, (_all, name: string) => encodeURIComponent(params[name] ?? ''));
  const asked = Object.entries(query).flatMap(([name, value]) =>
    value === undefined ? [] : [`${name}=${encodeURIComponent(value)}`],
  );
  return asked.length === 0 ? address : `${address}?${asked.join('&')}`;
}

/** @param line the route, as `GET /api/courses/{course}/plan`; what it takes and gives is inferred from it. */
export async function ask<Line extends RequestLine>(
  line: Line,
  given: Given<Line>,
  { keepalive = false, signal }: Sending = {},
): Promise<AnswerOf<RouteAt<Line>>> {
  const { params, query, body } = given as Filling & { readonly body?: unknown };
  const method = line.slice(0, line.indexOf(' '));
  const address = addressOf(line, { params, query });
  const first = method === 'GET' ? takeFirstAnswer(address) : undefined;
  if (first !== undefined) return first as AnswerOf<RouteAt<Line>>;
  const known = method === 'GET' ? knownAnswer(address) : null;
  const init: RequestInit = {
    method,
    keepalive,
    headers: { accept: 'application/json', ...(known === null ? {} : { 'if-none-match': known.tag }) },
    credentials: 'same-origin',
  };
  if (signal !== undefined) init.signal = signal;
  if (body !== undefined) {
    init.headers = { ...init.headers, 'content-type': 'application/json' };
    init.body = JSON.stringify(body);
  }
  let response: Response;
  try {
    response = await fetch(address, init);
  } catch (error) {
    if (signal?.aborted) throw error;
    throw new UnreachableError('no answer', { cause: error });
  }
  if (response.status === 304 && known !== null) return known.answer as AnswerOf<RouteAt<Line>>;
  if (response.status === 204) return undefined as AnswerOf<RouteAt<Line>>;
  const isJson = (response.headers.get('content-type') ?? '').includes('json');
  if (!isJson) throw new UnreachableError(`an answer that is not ours (${response.status})`);
  const data: unknown = await response.json();
  if (!response.ok) throw new ProblemError(data as Problem);
  if (method === 'GET') keepAnswer(address, response.headers.get('etag'), data);
  return data as AnswerOf<RouteAt<Line>>;
}

/** A path with its parts made safe. */
export function path(strings: TemplateStringsArray, ...parts: readonly string[]): string {
  return strings.reduce(
    (made, text, index) =>
      made + text + (index < parts.length ? encodeURIComponent(parts[index] as string) : ''),
    '',
  );
}
