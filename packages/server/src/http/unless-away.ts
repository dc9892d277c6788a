/** Nobody waits for a database that does not answer: whoever has waited for a while is told so, and can come back. */
import type { RequestHandler, Response } from 'express';
import type { Pulse } from '../db/pulse.ts';
import { databaseAway, sendProblem } from './problem.ts';

/** What takes longer is looked into, again and again until it is answered. In milliseconds. */
const LONG_MS = 700;

/** Calls `away` once the database does not answer, unless what is waited for has come by then. */
export function whileWaiting(
  pulse: Pulse,
  response: Response,
  away: () => void,
  hasCome: () => boolean = () => isAnswered(response),
): void {
  const look = async (): Promise<void> => {
    if (hasCome()) return;
    const is = await pulse.beats();
    if (hasCome()) return;
    if (is) again();
    else away();
  };
  let timer: NodeJS.Timeout;
  const again = (): void => {
    timer = setTimeout(() => void look(), LONG_MS);
  };
  again();
  response.once('close', () => clearTimeout(timer));
}

export function unlessAway(pulse: Pulse): RequestHandler {
  return (_request, response, next) => {
    whileWaiting(pulse, response, () => sendProblem(response, databaseAway()));
    next();
  };
}

/** Also by somebody else's word, or because nobody waits for it any more. */
export const isAnswered = ({ headersSent, destroyed }: Response): boolean => headersSent || destroyed;
