/** Whether the database answers, asked on a connection of its own, which nothing else ever holds. */
import pg from 'pg';
import { BOUNDS } from './orm.ts';
import type { Database } from './orm.ts';

/** Whoever asks wants to know now; what comes later is of no use to them. In milliseconds. */
const MOST_MS = 900;
/** So long one answer holds for all who ask. */
const HOLDS_MS = 500;

export interface Pulse {
  readonly beats: () => Promise<boolean>;
  readonly end: () => Promise<void>;
}

/** Without an answer by then it is `otherwise`. What has come while the process was held up is read first, and counts. */
export const inTime = <T>(answer: Promise<T>, otherwise: T): Promise<T> =>
  Promise.race([
    answer,
    new Promise<T>((resolve) => {
      const late = (): void => void setImmediate(() => setImmediate(resolve, otherwise));
      setTimeout(late, MOST_MS).unref();
    }),
  ]);

/** Opened before anybody asks: on a machine that is very busy, opening it can take as long as is waited for an answer. */
export async function openPulse(database: Database): Promise<Pulse> {
  const connectionString = String(database.config.get('clientUrl'));
  // One that answers others is slow at most, however late it is here.
  let heard = -HOLDS_MS;
  for (const use of ['read', 'write'] as const)
    database.em.getKnex(use).on('query-response', () => (heard = performance.now()));
  // A little more than is waited for it, so that one who is late is late by that.
  const bounds = { ...BOUNDS, connectionTimeoutMillis: 2 * MOST_MS, query_timeout: 2 * MOST_MS };
  // It rests as long as nobody asks: opened anew, it would tell how long that takes.
  const kept = { max: 1, idleTimeoutMillis: 0, application_name: 'itinerary-pulse' };
  const pool = new pg.Pool({ connectionString, ...kept, ...bounds });
  pool.on('error', () => undefined);
  let asked = -HOLDS_MS;
  let known = Promise.resolve(true);
  const ask = async (): Promise<boolean> => {
    try {
      const client = await pool.connect();
      const is = await client.query('select 1').then(
        () => true,
        () => false,
      );
      // A connection on which nothing came will bring nothing to the next one who asks either.
      client.release(!is);
      return is;
    } catch {
      return false;
    }
  };
  const pulse: Pulse = {
    beats: () => {
      const now = performance.now();
      if (now - asked < HOLDS_MS) return known;
      asked = now;
      known = inTime(ask(), false).then((is) => is || heard > now);
      return known;
    },
    end: () => pool.end(),
  };
  await pulse.beats();
  return pulse;
}
