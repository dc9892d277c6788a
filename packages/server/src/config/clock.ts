/** The one clock. Server, jobs and, through /api/me, the browser read it and nothing else. */
export interface Clock {
  /** The present instant, ISO 8601 in UTC. */
  now(): string;
  /** True when it was set from outside and does not run. */
  readonly stands: boolean;
}

export const systemClock: Clock = { now: () => new Date().toISOString(), stands: false };

function read(instant: string): Date {
  const parsed = new Date(instant);
  if (Number.isNaN(parsed.getTime())) {
    throw new Error(`ITINERARY_NOW is "${instant}"; expected an instant such as 2027-02-16T09:00:00Z`);
  }
  return parsed;
}

/** A clock that stands at an instant, for tests, pictures and demonstrations. */
export function standingClock(instant: string): Clock {
  const iso = read(instant).toISOString();
  return { now: () => iso, stands: true };
}

/** A clock that goes on from an instant: for watching what comes by itself. */
export function runningClock(instant: string): Clock {
  const start = read(instant).getTime();
  const begun = performance.now();
  return { now: () => new Date(start + performance.now() - begun).toISOString(), stands: false };
}
