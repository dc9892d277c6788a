/** Ten failures for one address or course in a quarter of an hour close it for the rest of it. */
import type { EntityManager } from '../../db/orm.ts';

export const MAX_FAILURES = 10;
const WINDOW = "interval '15 minutes'";

export async function hasFailedTooOften(em: EntityManager, of: string): Promise<boolean> {
  const db = em.getConnection();
  await db.execute(`delete from sign_in_failure where at < now() - ${WINDOW}`);
  const [row] = await db.execute<{ count: number }[]>(
    `select count(*)::int as count from sign_in_failure where address = ?`,
    [of],
  );
  return (row?.count ?? 0) >= MAX_FAILURES;
}

export async function countFailure(em: EntityManager, of: string): Promise<void> {
  await em.getConnection().execute(`insert into sign_in_failure (address) values (?)`, [of]);
}

export async function forgetFailures(em: EntityManager, of: string): Promise<void> {
  await em.getConnection().execute(`delete from sign_in_failure where address = ?`, [of]);
}
