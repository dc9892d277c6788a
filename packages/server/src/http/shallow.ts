/** Bodies are measured before anything walks through them: nothing after this can run out of stack. */
import { MAX_NESTING, wrongBefore } from '@itinerary/core';
import type { RequestHandler } from 'express';
import { Failure } from '../usecases/failure.ts';

/** A change in a list of changes, with a node in it. */
const MOST = MAX_NESTING + 8;

export const shallowOnly: RequestHandler = (request, _response, next) => {
  const expected = wrongBefore(request.body, MOST);
  next(
    expected === null
      ? undefined
      : new Failure('bad_input', 'The body cannot be read', [{ path: 'body', value: null, expected }]),
  );
};
