/** Telling every process of one database that a course has changed or a session ended, through PostgreSQL's NOTIFY. */
import { createHash } from 'node:crypto';
import type { EntityManager } from './orm.ts';

export const CHANNEL = 'itinerary_course';

export interface Notice {
  readonly course: string;
  readonly seq: number;
  /** The institution that the course is of. */
  readonly institution: string;
}

/** By its mark: what is told to every process names no session. */
export interface Ended {
  readonly ended: string;
}

export const markOfSession = (id: string): string =>
  createHash('sha256').update(id).digest('base64url').slice(0, 22);

/** Sent when the transaction that it is called in ends well. */
export async function announce(
  em: EntityManager,
  { course, seq }: Omit<Notice, 'institution'>,
): Promise<void> {
  await em.execute(
    `select pg_notify(?, json_build_object('course', id, 'seq', ?::int, 'institution', institution_id)::text)
     from course where id = ?`,
    [CHANNEL, seq, course],
  );
}

export async function announceEnd(em: EntityManager, session: string): Promise<void> {
  const ended: Ended = { ended: markOfSession(session) };
  await em.execute('select pg_notify(?, ?)', [CHANNEL, JSON.stringify(ended)]);
}
