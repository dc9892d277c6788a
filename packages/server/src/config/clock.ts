/** The one clock. Server, jobs and, through /api/me, the browser read it and nothing else. */
export interface Clock {
  /** The present instant, ISO 8601 in UTC. */
  now(): string;
  /** True when it was set from outside and does not run. */
  readonly stands: boolean;
  /**
   * Acts once so many milliseconds have passed by this clock; on one that stands, never.
   *
   * @returns what calls it off.
   */
  after(milliseconds: number, act: () => void): () => void;
}

function byTimer(milliseconds: number, act: () => void): () => void {
  const timer = setTimeout(act, milliseconds);
  return () => clearTimeout(timer);
}

export const systemClock: Clock = { now: () => new Date().toISOString(), stands: false, after: byTimer };

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
  return { now: () => iso, stands: true, after: () => () => undefined };
}

/** A clock that goes on from an instant: for watching what comes by itself. */
export function runningClock(instant: string): Clock {
  const start = read(instant).getTime();
  const begun = performance.now();
  return {
    now: () => new Date(start + performance.now() - begun).toISOString(),
    stands: false,
    after: byTimer,
  };
}

export interface ToldClock extends Clock {
  /** It is this instant now; what was to be done by then is done. */
  readonly tell: (instant: string) => void;
}

/** A clock that goes on when it is told to: for tests of what comes by itself, on a machine of any speed. */
export function toldClock(instant: string): ToldClock {
  let at = read(instant).getTime();
  const waiting = new Set<{ readonly due: number; readonly act: () => void }>();
  return {
    now: () => new Date(at).toISOString(),
    stands: false,
    after: (milliseconds, act) => {
      if (milliseconds <= 0) return byTimer(0, act);
      const one = { due: at + milliseconds, act };
      waiting.add(one);
      return () => waiting.delete(one);
    },
    tell: (next) => {
      at = read(next).getTime();
      for (const one of [...waiting]) {
        if (one.due > at) continue;
        waiting.delete(one);
        one.act();
      }
    },
  };
}

export function isTold(clock: Clock): clock is ToldClock {
  return 'tell' in clock;
}
