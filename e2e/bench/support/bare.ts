/** What others are measured against: an insert of one row and its commit, on the same pool. */
import { randomUUID } from 'node:crypto';
import type { Database } from '../../../packages/server/src/db/orm.ts';

export interface BareCommits {
  /** In milliseconds, in the order in which they were made. */
  readonly times: readonly number[];
  readonly once: () => Promise<void>;
  readonly end: () => Promise<void>;
}

export async function timed(into: number[], work: () => Promise<unknown>): Promise<void> {
  const begun = performance.now();
  await work();
  into.push(performance.now() - begun);
}

/** The slowest of a hundred. */
export const p99 = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length * 0.99)] ?? 0;

export async function bareCommits({ em }: Pick<Database, 'em'>): Promise<BareCommits> {
  const times: number[] = [];
  await em.fork().execute('create table if not exists bench_bare (id text primary key, at text not null)');
  return {
    times,
    once: () =>
      timed(times, () =>
        em
          .fork()
          .transactional((inner) =>
            inner.execute('insert into bench_bare values (?, ?)', [randomUUID(), 'then']),
          ),
      ),
    end: async () => {
      await em.fork().execute('drop table bench_bare');
    },
  };
}
