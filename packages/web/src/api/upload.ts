/** One file on its way: its progress, and the way to stop it. `fetch` tells neither, so this is an XHR. */
import type { Problem, UploadAnswer } from '@itinerary/contract';
import { path, ProblemError, UnreachableError } from './client.ts';

export interface Sending {
  readonly done: Promise<UploadAnswer>;
  readonly stop: () => void;
}

/** It was stopped by whoever sent it. */
export class Stopped extends Error {}

export function sendFile(course: string, file: File, progress: (sent: number) => void): Sending {
  const request = new XMLHttpRequest();
  const done = new Promise<UploadAnswer>((resolve, reject) => {
    request.upload.addEventListener('progress', ({ loaded }) => progress(loaded));
    request.addEventListener('load', () => {
      const answer: unknown = read(request.responseText);
      if (request.status === 201) resolve(answer as UploadAnswer);
      else
        reject(
          answer === null
            ? new UnreachableError(String(request.status))
            : new ProblemError(answer as Problem),
        );
    });
    request.addEventListener('error', () => reject(new UnreachableError('no answer')));
    request.addEventListener('abort', () => reject(new Stopped()));
  });
  const query = new URLSearchParams({ name: file.name.slice(0, 200) });
  request.open('POST', `${path`/api/courses/${course}/files`}?${query.toString()}`);
  request.setRequestHeader('content-type', 'application/octet-stream');
  request.send(file);
  return { done, stop: () => request.abort() };
}

function read(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return null;
  }
}
