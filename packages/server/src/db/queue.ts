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
  /** What became of a payment of which nothing has been heard. */
  readonly ask_desk: { readonly payment: string };
  /** The money of one that was paid when there was no seat any more. */
  readonly pay_back: { readonly payment: string };
  /** Another period of one that is over: the payment that asks for it. */
  readonly charge_again: { readonly payment: string };
  /** An attempt at a quiz whose time may be over. */
  readonly end_attempt: { readonly attempt: string };
  /** A thread in which something has been posted: whoever follows it is written to. */
  readonly thread_posted: { readonly thread: string };
  readonly move_up: { readonly course: string };
  readonly read_registry: Readonly<Record<string, never>>;
  readonly follow_registry: { readonly course: string };
}
export type JobName = keyof Jobs;

/** Tried again, ever more slowly, at last every six hours, for most of a year: what waits for a service is not lost. */
const MOST_TRIES = 1000;

/**
 * @param key of those with one key that wait, one is left
 * @param afterMs not before so many milliseconds have passed
 */
export async function addJob<Name extends JobName>(
  em: EntityManager,
  name: Name,
  told: Jobs[Name],
  { key = null, afterMs = 0 }: { readonly key?: string | null; readonly afterMs?: number } = {},
): Promise<void> {
  await em.execute(
    `select graphile_worker.add_job(?, ?::json, job_key => ?::text, max_attempts => ?,
       run_at => now() + ? * interval '1 millisecond')`,
    [name, JSON.stringify(told), key, MOST_TRIES, afterMs],
  );
}
