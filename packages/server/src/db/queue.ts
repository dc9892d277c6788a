/** The queue of jobs in PostgreSQL: what is added in a transaction is there when that ends well, and not else. */
import type { EntityManager } from './orm.ts';

/** What each job is told. */
export interface Jobs {
  readonly send_letter: { readonly letter: string };
  readonly account_letter: {
    readonly kind: 'confirm' | 'reset';
    readonly address: string;
    readonly name: string;
    readonly lang: string;
    readonly onward: string | null;
  };
  readonly move_up: { readonly course: string };
}
export type JobName = keyof Jobs;

/** Tried again, ever more slowly: at the last for about four days. A mail service may be down for a weekend. */
const MOST_TRIES = 30;

/** @param key of those with one key that wait, one is left */
export async function addJob<Name extends JobName>(
  em: EntityManager,
  name: Name,
  told: Jobs[Name],
  { key = null }: { readonly key?: string | null } = {},
): Promise<void> {
  await em.execute('select graphile_worker.add_job(?, ?::json, job_key => ?::text, max_attempts => ?)', [
    name,
    JSON.stringify(told),
    key,
    MOST_TRIES,
  ]);
}
