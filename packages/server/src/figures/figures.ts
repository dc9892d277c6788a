/**
 * What whoever runs a server watches, as Prometheus reads it (prometheus.io/docs/instrumenting/exposition_formats): how
 * often and how long, by route and by kind, and never a word of anybody.
 */
import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client';
import { keptNow } from '../db/kept-courses.ts';
import type { Database } from '../db/orm.ts';

/** In seconds. */
const BUCKETS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10];

export interface Watched {
  readonly database: Database;
  /** Pages that are told of changes while they are open. */
  readonly streams: () => number;
}

export interface Figures {
  /** An answer has gone out. */
  readonly answered: (route: string, status: number, seconds: number) => void;
  /** So much of a kind has been cleared away. */
  readonly cleared: (what: string, count: number, at: number) => void;
  /** All of them, in the text format. */
  readonly text: () => Promise<string>;
  readonly contentType: string;
}

/** As much of the pool of the driver as is looked at. */
interface Pool {
  readonly numUsed: () => number;
  readonly numFree: () => number;
  readonly numPendingAcquires: () => number;
}

export function openFigures({ database, streams }: Watched): Figures {
  const registry = new Registry();
  const registers = [registry];
  collectDefaultMetrics({ register: registry });
  const answers = new Histogram({
    name: 'itinerary_answer_seconds',
    help: 'Answers, by route of the contract and status, and how long they took',
    labelNames: ['route', 'status'] as const,
    buckets: BUCKETS,
    registers,
  });
  const questions = new Counter({
    name: 'itinerary_questions_total',
    help: 'Questions to the database, but those about sessions',
    registers,
  });
  const pools = (['read', 'write'] as const).map((use) => {
    const knex = database.em.getKnex(use);
    knex.on('query', () => questions.inc());
    return { use, pool: (knex.client as { readonly pool: Pool }).pool };
  });
  new Gauge({
    name: 'itinerary_connections',
    help: 'Connections to the database, for what only reads and for what writes: used, free, and waited for',
    labelNames: ['use', 'state'] as const,
    registers,
    collect() {
      for (const { use, pool } of pools) {
        this.set({ use, state: 'used' }, pool.numUsed());
        this.set({ use, state: 'free' }, pool.numFree());
        this.set({ use, state: 'waited_for' }, pool.numPendingAcquires());
      }
    },
  });
  new Gauge({
    name: 'itinerary_kept_courses',
    help: 'Courses that are kept in memory, as they stand',
    registers,
    collect() {
      this.set(keptNow(database.em).courses);
    },
  });
  new Gauge({
    name: 'itinerary_kept_nodes',
    help: 'Sections and items of the courses that are kept in memory',
    registers,
    collect() {
      this.set(keptNow(database.em).nodes);
    },
  });
  new Gauge({
    name: 'itinerary_streams',
    help: 'Pages that are open and are told of changes',
    registers,
    collect() {
      this.set(streams());
    },
  });
  new Gauge({
    name: 'itinerary_jobs',
    help: 'Jobs of the queue: to be done now, later, and tried without success',
    labelNames: ['state'] as const,
    registers,
    async collect() {
      const [row] = await database.em.fork().execute<{ due: number; later: number; failing: number }[]>(
        `select count(*) filter (where attempts = 0 and run_at <= now())::int as due,
           count(*) filter (where attempts = 0 and run_at > now())::int as later,
           count(*) filter (where attempts > 0 and last_error is not null)::int as failing
         from graphile_worker._private_jobs`,
      );
      for (const state of ['due', 'later', 'failing'] as const) this.set({ state }, row?.[state] ?? 0);
    },
  });
  const cleared = new Counter({
    name: 'itinerary_cleared_total',
    help: 'What was left over and has been cleared away, by kind',
    labelNames: ['what'] as const,
    registers,
  });
  const clearedAt = new Gauge({
    name: 'itinerary_cleared_at_seconds',
    help: 'When it was last cleared away, in seconds since 1970',
    registers,
  });
  return {
    answered: (route, status, seconds) => answers.observe({ route, status: String(status) }, seconds),
    cleared: (what, count, at) => {
      cleared.inc({ what }, count);
      clearedAt.set(at / 1000);
    },
    text: () => registry.metrics(),
    contentType: registry.contentType,
  };
}
