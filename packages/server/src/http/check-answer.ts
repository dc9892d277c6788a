/**
 * Whether an answer is what the contract says of it, no more and no less. Asked in tests and while developing: a
 * field that was forgotten in a schema, or in an answer, stops the request instead of passing unnoticed.
 */
import { isDeepStrictEqual } from 'node:util';
import type { Route } from '@itinerary/contract';

/** @throws Error that names the route and the first place that differs. */
export function checkAnswer(name: string, { answer: schema }: Route, answer: unknown): void {
  if (schema === undefined) return;
  const sent: unknown = JSON.parse(JSON.stringify(answer));
  const parsed = schema.safeParse(sent);
  if (!parsed.success) {
    const [issue] = parsed.error.issues;
    throw new Error(
      `The answer of ${name} is not as the contract has it: ${issue?.path.join('.') ?? ''}: ${issue?.message ?? ''}`,
    );
  }
  const place = differsAt(parsed.data, sent, '');
  if (place !== null)
    throw new Error(`The answer of ${name} holds what the contract does not name: ${place}`);
}

/** The first place at which two JSON values differ. */
function differsAt(a: unknown, b: unknown, place: string): string | null {
  if (isDeepStrictEqual(a, b)) return null;
  if (a === null || b === null || typeof a !== 'object' || typeof b !== 'object') return place;
  const [named, sent] = [a as Record<string, unknown>, b as Record<string, unknown>];
  for (const key of new Set([...Object.keys(named), ...Object.keys(sent)])) {
    const found = differsAt(named[key], sent[key], place === '' ? key : `${place}.${key}`);
    if (found !== null) return found;
  }
  return place;
}
