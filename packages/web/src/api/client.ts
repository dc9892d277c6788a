/** Asks the server. Only types come from the contract: the learner's pages carry no schemas. */
import type { Problem } from '@itinerary/contract';
import { takeFirstAnswer } from './first-answers.ts';

/** The server said no, and said why. */
export class ProblemError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail ?? problem.title);
  }
}

/** No answer came: the network or the server is away. */
export class UnreachableError extends Error {}

export interface Ask {
  readonly method?: 'GET' | 'POST' | 'PUT' | 'DELETE';
  readonly body?: unknown;
  /** Lets the request outlive the page that sent it. */
  readonly keepalive?: boolean;
  readonly signal?: AbortSignal;
}

export async function ask<T>(
  path: string,
  { method = 'GET', body, keepalive = false, signal }: Ask = {},
): Promise<T> {
  const first = method === 'GET' ? takeFirstAnswer(path) : undefined;
  if (first !== undefined) return first as T;
  const init: RequestInit = {
    method,
    keepalive,
    headers: { accept: 'application/json' },
    credentials: 'same-origin',
  };
  if (signal !== undefined) init.signal = signal;
  if (body !== undefined) {
    init.headers = { ...init.headers, 'content-type': 'application/json' };
    init.body = JSON.stringify(body);
  }
  let response: Response;
  try {
    response = await fetch(path, init);
  } catch (error) {
    if (signal?.aborted) throw error;
    throw new UnreachableError('no answer', { cause: error });
  }
  if (response.status === 204) return undefined as T;
  const isJson = (response.headers.get('content-type') ?? '').includes('json');
  if (!isJson) throw new UnreachableError(`an answer that is not ours (${response.status})`);
  const data: unknown = await response.json();
  if (!response.ok) throw new ProblemError(data as Problem);
  return data as T;
}

/** A path with its parts made safe. */
export function path(strings: TemplateStringsArray, ...parts: readonly string[]): string {
  return strings.reduce(
    (made, text, index) =>
      made + text + (index < parts.length ? encodeURIComponent(parts[index] as string) : ''),
    '',
  );
}
