/** A list held against the course in a worker, which a new one takes the place of. */
import type { HoldingStep } from '@itinerary/core/people';
import type { HeldOrNot, ListNews, ListTask } from './held-list.ts';

export interface Running {
  /** Null: it was stopped. */
  readonly held: Promise<HeldOrNot | null>;
  readonly stop: () => void;
}
export type RunList = (task: ListTask, tell: (step: HoldingStep) => void) => Running;

export const inWorker: RunList = (task, tell) => {
  const worker = new Worker(new URL('./list-worker.ts', import.meta.url), { type: 'module' });
  let stop = (): void => undefined;
  const held = new Promise<HeldOrNot | null>((resolve, reject) => {
    stop = () => {
      worker.terminate();
      resolve(null);
    };
    worker.addEventListener('error', () => reject(new Error('the worker could not be loaded')));
    worker.addEventListener('message', ({ data }: MessageEvent<ListNews>) => {
      if ('step' in data) return tell(data.step);
      worker.terminate();
      if ('held' in data) resolve(data.held);
      else reject(new Error(data.failed));
    });
    worker.postMessage(task);
  });
  return { held, stop: () => stop() };
};
