/**
 * Bodies are measured before anything reads or walks through them: nothing after this can run out of stack, or take long
 * for what is refused anyway.
 */
import { MAX_NESTING, wrongBefore } from '@itinerary/core';
import type { RequestHandler } from 'express';
import { Failure } from '../usecases/failure.ts';

/** A change in a list of changes, with a node in it. */
const MOST = MAX_NESTING + 8;

const refused = (expected: string): Failure =>
  new Failure('bad_input', 'The body cannot be read', [{ path: 'body', value: null, expected }]);

const [QUOTE, STROKE, OPEN_LIST, OPEN, CLOSE_LIST, CLOSE] = [...'"\\[{]}'].map((one) =>
  one.charCodeAt(0),
) as [number, number, number, number, number, number];

/** @throws Failure where the bytes of a JSON document open more brackets than a body has, before it is parsed. */
export function mustBeShallow(_request: unknown, _response: unknown, bytes: Uint8Array): void {
  let depth = 0;
  let isInText = false;
  for (let at = 0; at < bytes.length; at += 1) {
    const byte = bytes[at];
    if (isInText) {
      if (byte === STROKE) at += 1;
      else if (byte === QUOTE) isInText = false;
    } else if (byte === QUOTE) isInText = true;
    else if (byte === OPEN || byte === OPEN_LIST) {
      depth += 1;
      if (depth > MOST + 1) throw refused('less nesting');
    } else if (byte === CLOSE || byte === CLOSE_LIST) depth -= 1;
  }
}

export const shallowOnly: RequestHandler = (request, _response, next) => {
  const expected = wrongBefore(request.body, MOST);
  next(expected === null ? undefined : refused(expected));
};
