/** One line of server-sent events to one reader. */
import type { Response } from 'express';

/** Proxies cut lines that say nothing for long. */
const BEAT_MS = 25_000;

export interface EventLine {
  readonly send: (event: string, data: unknown) => void;
  /** Ends it from here. */
  readonly end: () => void;
  /** Resolves when the reader has gone, or it has been ended. */
  readonly left: Promise<void>;
}

/** Opens the line at once; it closes itself when its reader goes. */
export function openEventLine(response: Response): EventLine {
  response.status(200).set({
    'Content-Type': 'text/event-stream',
    // A compressed stream is held back until it is worth compressing.
    'Cache-Control': 'no-store, no-transform',
    'X-Accel-Buffering': 'no',
  });
  response.flushHeaders();
  let isOpen = true;
  const beat = setInterval(() => void response.write(': still here\n\n'), BEAT_MS);
  const left = new Promise<void>((resolve) => {
    response.once('close', () => {
      isOpen = false;
      clearInterval(beat);
      resolve();
    });
  });
  return {
    left,
    end: () => response.end(),
    send: (event, data) => {
      if (isOpen) response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
    },
  };
}
