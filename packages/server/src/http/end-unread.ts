/** A request that is refused before it was read to its end: the answer is given, and then the line is closed. */
import type { Request, Response } from 'express';

/** Time for the answer to arrive before the line is cut. */
const LINGER_MS = 1000;

export function endUnread(request: Request, response: Response): void {
  response.once('finish', () => {
    if (!request.readableEnded) setTimeout(() => request.destroy(), LINGER_MS).unref();
  });
}
