/** Telling every process of one database that a course has changed, through PostgreSQL's NOTIFY. */
import type { EntityManager } from './orm.ts';

export const CHANNEL = 'itinerary_course';

export interface Notice {
  readonly course: string;
  readonly seq: number;
}

/** Sent when the transaction that it is called in ends well. */
export async function announce(em: EntityManager, { course, seq }: Notice): Promise<void> {
  await em.execute('select pg_notify(?, ?)', [CHANNEL, JSON.stringify({ course, seq })]);
}
