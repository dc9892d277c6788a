/** A forecast made in a worker; one that is not wanted any more is stopped. */
import type { Forecast, ForecastAsked } from '@itinerary/core';

export type Reckoned = { readonly found: Forecast | null } | { readonly failed: string };

export interface Reckoning {
  /** Undefined: it was stopped. Null: there is nothing to foresee. */
  readonly found: Promise<Forecast | null | undefined>;
  readonly stop: () => void;
}
export type RunForecast = (asked: ForecastAsked) => Reckoning;

export const inWorker: RunForecast = (asked) => {
  const worker = new Worker(new URL('./forecast-worker.ts', import.meta.url), { type: 'module' });
  let stop = (): void => undefined;
  const found = new Promise<Forecast | null | undefined>((resolve, reject) => {
    stop = () => {
      worker.terminate();
      resolve(undefined);
    };
    worker.addEventListener('error', () => reject(new Error('the worker could not be loaded')));
    worker.addEventListener('message', ({ data }: MessageEvent<Reckoned>) => {
      worker.terminate();
      if ('found' in data) resolve(data.found);
      else reject(new Error(data.failed));
    });
    worker.postMessage(asked);
  });
  return { found, stop: () => stop() };
};
