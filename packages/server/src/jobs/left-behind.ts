/**
 * Jobs that a process had taken up and left as it fell: the queue's library gives them free after four hours, which is
 * long for somebody who waits for a letter. A process is known by its connections: where there are none, it is gone.
 * No job takes two minutes: one that does has been lost by a process that lives.
 */
import type { EntityManager } from '../db/orm.ts';

/** As PostgreSQL lists whoever is connected. */
export const nameOf = (instance: string): string => `itinerary-jobs ${instance}`;

export async function registerWorker(em: EntityManager, worker: string, instance: string): Promise<void> {
  await em.execute('insert into job_worker (worker_id, instance) values (?, ?) on conflict do nothing', [
    worker,
    instance,
  ]);
}

/** @returns how many processes had fallen with a job in hand */
export async function takeUpLeftBehind(em: EntityManager): Promise<number> {
  const fallen = await em.execute<{ worker: string }[]>(
    `select distinct job.locked_by as worker from graphile_worker._private_jobs job
     left join job_worker known on known.worker_id = job.locked_by
     where job.locked_by is not null and (job.locked_at < now() - interval '2 minutes' or case when known.instance is null
       -- Taken up before it could say who it is.
       then job.locked_at < now() - interval '1 minute'
       else not exists (select 1 from pg_stat_activity
                        where application_name = ? || known.instance) end)`,
    [nameOf('')],
  );
  if (fallen.length === 0) return 0;
  const workers = fallen.map(({ worker }) => worker);
  await em.execute(
    `select graphile_worker.force_unlock_workers(array(select jsonb_array_elements_text(?::jsonb)))`,
    [JSON.stringify(workers)],
  );
  await em.execute('delete from job_worker where worker_id in (select jsonb_array_elements_text(?::jsonb))', [
    JSON.stringify(workers),
  ]);
  return workers.length;
}
