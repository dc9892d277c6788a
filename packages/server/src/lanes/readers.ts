/**
 * Pages that are looked at, a few at a time. One processor answers them no faster all at once, and whoever saves
 * something meanwhile would wait behind every one of them at each of their steps. While the plan is changed no page is
 * begun, for a moment at most; then pages have as long for themselves, whatever else is changed.
 */
import pLimit from 'p-limit';

/** Enough that the processor has something to do while the database answers. */
const AT_ONCE = 2;
/** Whatever takes longer waits for something else than the processor, and others go on. In milliseconds. */
const MOST_MS = 250;
/** So long pages are kept waiting at a time. In milliseconds. */
const MOST_HELD_MS = 100;

export interface Readers {
  /** Does a piece of work in its turn; how it ends is for whoever asked for it. */
  readonly look: <T>(work: () => Promise<T>) => Promise<T>;
  /** Does it at once, and before those who look. */
  readonly change: <T>(work: () => Promise<T>) => Promise<T>;
}

interface Pause {
  readonly since: number;
  readonly over: Promise<void>;
  readonly end: () => void;
}

interface Pauses {
  /** A change begins, and ends. */
  readonly begin: () => void;
  readonly end: () => void;
  /** Resolves as soon as those who look need not wait. */
  readonly passed: () => Promise<void>;
}

function openPauses(mostHeldMs: number): Pauses {
  let changes = 0;
  let pause: Pause | null = null;
  let notBefore = 0;
  let timer: NodeJS.Timeout | undefined;
  const later = (act: () => void, ms: number): void => {
    clearTimeout(timer);
    timer = setTimeout(act, ms).unref();
  };
  function hold(): void {
    if (changes === 0 || pause !== null) return;
    const now = performance.now();
    if (now < notBefore) {
      later(hold, notBefore - now);
      return;
    }
    let end = (): void => undefined;
    const over = new Promise<void>((resolve) => (end = resolve));
    pause = { since: now, over, end };
    later(letGo, mostHeldMs);
  }
  function letGo(): void {
    if (pause === null) return;
    const now = performance.now();
    notBefore = now + (now - pause.since);
    pause.end();
    pause = null;
    hold();
  }
  return {
    begin: () => {
      changes += 1;
      hold();
    },
    end: () => {
      changes -= 1;
      if (changes === 0) letGo();
    },
    passed: async () => {
      while (pause !== null) await pause.over;
    },
  };
}

export function openReaders({
  atOnce = AT_ONCE,
  mostMs = MOST_MS,
  mostHeldMs = MOST_HELD_MS,
}: {
  readonly atOnce?: number;
  readonly mostMs?: number;
  readonly mostHeldMs?: number;
} = {}): Readers {
  const lane = pLimit(atOnce);
  const pauses = openPauses(mostHeldMs);
  return {
    look: (work) =>
      new Promise((resolve, reject) => {
        void lane(async () => {
          await pauses.passed();
          let long: NodeJS.Timeout | undefined;
          const done = work().then(resolve, reject);
          await Promise.race([done, new Promise((free) => (long = setTimeout(free, mostMs)))]);
          clearTimeout(long);
        });
      }),
    change: async (work) => {
      pauses.begin();
      try {
        return await work();
      } finally {
        pauses.end();
      }
    },
  };
}
