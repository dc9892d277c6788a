/**
 * Cleaning of texts apart from answering: short ones at once, since a thread takes longer to ask; all others in a
 * thread of their own, one at a time, with a bound on how many wait and on how long one takes.
 */
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';
import { openLane } from '../lanes/lane.ts';
import { cleanTexts } from './clean-texts.ts';
import type { Cleaned, SentTexts } from './clean-texts.ts';

/** Texts that are not done with in the time that there is. */
export class TooLong extends Error {}

export interface Cleaning {
  /** @throws Busy when very many wait, TooLong where they take too long. */
  readonly clean: (texts: SentTexts) => Promise<Cleaned>;
  readonly close: () => Promise<void>;
}

/** In characters, all texts of a request together: a few milliseconds. */
const AT_ONCE = 20_000;
/** From when it begins: whoever waits in line has done nothing wrong. */
const MOST_MS = 15_000;
const IDLE_MS = 30_000;

/** Beside the bundle; or, run from the sources, in the bundle of the last build. */
function workerFile(): string {
  const [beside, built] = ['./cleaning-worker.js', '../../dist/cleaning-worker.js'].map((place) =>
    fileURLToPath(new URL(place, import.meta.url)),
  ) as [string, string];
  return existsSync(beside) ? beside : built;
}

export function openCleaning(): Cleaning {
  const inTurn = openLane({ doing: 'long texts are being looked at', mostWaiting: 40, retryAfter: 5 });
  let pool: Piscina<SentTexts, Cleaned> | null = null;
  const apart = async (texts: SentTexts): Promise<Cleaned> => {
    pool ??= new Piscina({
      filename: workerFile(),
      minThreads: 0,
      maxThreads: 1,
      idleTimeout: IDLE_MS,
    });
    const signal = AbortSignal.timeout(MOST_MS);
    try {
      return await pool.run(texts, { signal });
    } catch (error) {
      if (!signal.aborted) throw error;
      throw new TooLong();
    }
  };
  const isShort = (texts: SentTexts): boolean => {
    const all = Object.values(texts).reduce((sum, html) => sum + html.length, 0);
    return all <= AT_ONCE;
  };
  return {
    clean: async (texts) => (isShort(texts) ? cleanTexts(texts) : inTurn(() => apart(texts))),
    close: async () => {
      await pool?.close({ force: true });
    },
  };
}
