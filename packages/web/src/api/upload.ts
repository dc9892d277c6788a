/**
 * One file on its way, in pieces (tus): after a break of the line it goes on from where it was, and chosen again after a
 * reload it does so too. Once it is whole, it is given to whatever it is for.
 */
import type { Problem } from '@itinerary/contract';
import type { DetailedError, Upload } from 'tus-js-client';
import { ProblemError, UnreachableError } from './client.ts';

export interface Sending<Answer> {
  readonly done: Promise<Answer>;
  readonly stop: () => void;
}

/** It was stopped by whoever sent it. */
export class Stopped extends Error {}

/** How long between one try and the next; after as many that come to nothing it is given up. */
const AGAIN_MS: readonly number[] = [300, 1000, 2000, ...Array<number>(60).fill(5000)];
/** In bytes: what a short break can lose. */
const PIECE = 8_000_000;

interface Telling {
  readonly progress: (sent: number) => void;
  /** Whether it waits for the line to come back. */
  readonly away?: (isAway: boolean) => void;
}

/** @param address that takes a file by its name and the upload that it has come in */
export function sendFile<Answer>(
  address: string,
  file: File,
  { progress, away = () => undefined }: Telling,
): Sending<Answer> {
  const ended = new AbortController();
  let upload: Upload | null = null;
  const stopped = new Promise<never>((_resolve, reject) => {
    ended.signal.addEventListener('abort', () => reject(new Stopped()));
  });
  const whole = (async (): Promise<Answer> => {
    const tus = await import('tus-js-client');
    const id = await new Promise<string>((resolve, reject) => {
      upload = new tus.Upload(file, {
        endpoint: '/api/uploads',
        chunkSize: PIECE,
        retryDelays: [...AGAIN_MS],
        removeFingerprintOnSuccess: true,
        metadata: { name: file.name },
        // Also where the browser says that it has no line: it may have one again.
        onShouldRetry: (error) => {
          const isAway = isForNow((error as DetailedError).originalResponse?.getStatus() ?? 0);
          away(isAway);
          return isAway;
        },
        onProgress: (sent) => {
          away(false);
          progress(sent);
        },
        onSuccess: () => resolve(upload?.url?.split('/').at(-1) ?? ''),
        onError: (error) => reject(asProblem(error)),
      });
      void goOn(upload).catch(reject);
    });
    return give<Answer>(address, { name: file.name.slice(0, 200), upload: id }, ended.signal, away);
  })();
  // What becomes of it once it was stopped is nobody's matter.
  whole.catch(() => undefined);
  return {
    done: Promise.race([whole, stopped]),
    stop: () => {
      ended.abort();
      void upload?.abort(true).catch(() => undefined);
    },
  };
}

/** From where an earlier page was cut off, if it sent the same file. */
async function goOn(upload: Upload): Promise<void> {
  const [before] = await upload.findPreviousUploads();
  if (before !== undefined) upload.resumeFromPreviousUpload(before);
  upload.start();
}

/** The disk over there is full: tried again it would be still. */
const NO_ROOM = 507;
const isForNow = (status: number): boolean =>
  status === 0 || (status >= 500 && status !== NO_ROOM) || status === 409 || status === 423;

/** Asked again it is the same file: whoever takes it keeps it by its content. */
async function give<Answer>(
  address: string,
  query: Readonly<Record<string, string>>,
  signal: AbortSignal,
  away: (isAway: boolean) => void,
): Promise<Answer> {
  const target = `${address}?${new URLSearchParams(query).toString()}`;
  for (const wait of [...AGAIN_MS, null]) {
    const answer = await fetch(target, { method: 'POST', signal }).catch(() => null);
    if (answer?.ok === true) return (await answer.json()) as Answer;
    if (answer !== null && !isForNow(answer.status)) throw problemIn(await answer.text(), answer.status);
    if (wait === null || signal.aborted) break;
    away(true);
    await new Promise((resolve) => setTimeout(resolve, wait));
  }
  throw new UnreachableError('no answer');
}

function asProblem(error: Error | DetailedError): Error {
  const response = 'originalResponse' in error ? error.originalResponse : null;
  return response === null
    ? new UnreachableError('no answer')
    : problemIn(response.getBody(), response.getStatus());
}

function problemIn(text: string, status: number): Error {
  try {
    return new ProblemError(JSON.parse(text) as Problem);
  } catch {
    return new UnreachableError(String(status));
  }
}
