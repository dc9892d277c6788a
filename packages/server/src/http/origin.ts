/**
 * Protection against requests that another site makes in a signed-in person's name (CSRF): the cookie is
 * SameSite=Lax, and whatever changes something must come from our own pages, by the browser's word.
 */
import type { RequestHandler } from 'express';
import { Failure } from '../usecases/failure.ts';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

export const ownOriginOnly: RequestHandler = (request, _response, next) => {
  if (SAFE.has(request.method)) {
    next();
    return;
  }
  const site = request.get('sec-fetch-site');
  const origin = request.get('origin');
  // Programs send neither header; browsers send both, and scripts of other sites cannot forge them.
  const foreign =
    (site !== undefined && site !== 'same-origin') ||
    (origin !== undefined && hostOf(origin) !== request.get('host'));
  next(
    foreign
      ? new Failure('foreign_origin', `Requests from ${origin ?? 'another site'} are not taken`)
      : undefined,
  );
};

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}
