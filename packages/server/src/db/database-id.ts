import type { EntityManager } from './orm.ts';

/** Which database this is, of all that there are. */
export async function databaseId(em: EntityManager): Promise<string> {
  const [row] = await em.execute<{ id: string }[]>(
    `select system_identifier || ' ' || (select oid from pg_database where datname = current_database()) as id
     from pg_control_system()`,
  );
  return row?.id ?? '';
}
