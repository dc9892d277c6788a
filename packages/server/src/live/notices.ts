/**
 * Who is told that a course has changed: every server process of one database hears of it through PostgreSQL's
 * NOTIFY, which carries the course and the sequence number only.
 */
import pg from 'pg';
import type { Logger } from 'pino';
import { CHANNEL } from '../db/announce.ts';
import type { Ended, Notice } from '../db/announce.ts';

const AGAIN_MS = 2000;

/** Null: listening had broken off and goes on, and nobody knows what was said meanwhile. */
type Hear = (notice: Notice | Ended | null) => void;

export interface Notices {
  /** Returns what ends the listening. */
  readonly listen: (hear: Hear) => () => void;
  /** How many listen in this process. */
  readonly count: () => number;
  readonly stop: () => Promise<void>;
}

/** One connection for the whole process; opened anew when it breaks. */
export function openNotices(databaseUrl: string, log: Logger): Notices {
  const listeners = new Set<Hear>();
  let client: pg.Client | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isStopped = false;
  let hasBrokenOff = false;
  const again = (error: unknown): void => {
    log.warn({ err: error }, 'listening for changes broke off');
    client = null;
    hasBrokenOff = true;
    if (!isStopped) timer = setTimeout(() => void start(), AGAIN_MS);
    timer?.unref();
  };
  const start = async (): Promise<void> => {
    const next = new pg.Client({ connectionString: databaseUrl, application_name: 'itinerary notices' });
    // A connection that breaks may say so twice, and is replaced once.
    let isBroken = false;
    const broken = (error: unknown): void => {
      if (isBroken) return;
      isBroken = true;
      void next.end().catch(() => undefined);
      again(error);
    };
    next.on('error', broken);
    next.on('notification', ({ payload }) => {
      const notice = JSON.parse(payload ?? '{}') as Notice | Ended;
      listeners.forEach((hear) => hear(notice));
    });
    try {
      await next.connect();
      await next.query(`listen ${CHANNEL}`);
      client = next;
      if (isStopped) await next.end();
      else if (hasBrokenOff) listeners.forEach((hear) => hear(null));
      hasBrokenOff = false;
    } catch (error) {
      broken(error);
    }
  };
  const started = start();
  return {
    listen: (hear) => {
      listeners.add(hear);
      return () => listeners.delete(hear);
    },
    count: () => listeners.size,
    stop: async () => {
      isStopped = true;
      clearTimeout(timer);
      await started;
      await client?.end();
    },
  };
}
