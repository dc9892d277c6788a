/** The connection to PostgreSQL. */
import { ITEM_KINDS } from '@itinerary/core';
import { runMigrations } from 'graphile-worker';
import { MikroORM, PostgreSqlDriver, UnderscoreNamingStrategy } from '@mikro-orm/postgresql';
import type { AnyEntity, EntityData, PoolConfig, QueryResult, Transaction } from '@mikro-orm/postgresql';
import { Migrator } from '@mikro-orm/migrations';
import pg from 'pg';
import { ENTITIES } from './entities.ts';
import { listCourses } from './list-courses.ts';
import { Migration0001 } from './migrations/early/migration-0001.ts';
import { Migration0002 } from './migrations/early/migration-0002.ts';
import { Migration0003 } from './migrations/early/migration-0003.ts';
import { Migration0004 } from './migrations/early/migration-0004.ts';
import { Migration0005 } from './migrations/early/migration-0005.ts';
import { Migration0006 } from './migrations/early/migration-0006.ts';
import { Migration0007 } from './migrations/early/migration-0007.ts';
import { Migration0008 } from './migrations/early/migration-0008.ts';
import { Migration0009 } from './migrations/early/migration-0009.ts';
import { Migration0010 } from './migrations/early/migration-0010.ts';
import { Migration0011 } from './migrations/migration-0011.ts';
import { Migration0012 } from './migrations/migration-0012.ts';
import { Migration0013 } from './migrations/migration-0013.ts';
import { Migration0014 } from './migrations/migration-0014.ts';
import { Migration0015 } from './migrations/migration-0015.ts';
import { Migration0016 } from './migrations/migration-0016.ts';
import { Migration0017 } from './migrations/migration-0017.ts';
import { Migration0018 } from './migrations/migration-0018.ts';
import { Migration0019 } from './migrations/migration-0019.ts';
import { Migration0020 } from './migrations/migration-0020.ts';
import { Migration0021 } from './migrations/migration-0021.ts';
import { Migration0022 } from './migrations/migration-0022.ts';
import { Migration0023 } from './migrations/migration-0023.ts';
import { Migration0024 } from './migrations/migration-0024.ts';
import { Migration0025 } from './migrations/migration-0025.ts';
import { Migration0026 } from './migrations/migration-0026.ts';

export type { EntityManager } from '@mikro-orm/postgresql';
export type Database = MikroORM;

/** Numbered, forward only. */
export const MIGRATIONS = [
  { name: '0001-first-tables', class: Migration0001 },
  { name: '0002-formats-and-kinds', class: Migration0002 },
  { name: '0003-uploaded-files', class: Migration0003 },
  { name: '0004-facts-of-texts', class: Migration0004 },
  { name: '0005-persons-and-access', class: Migration0005 },
  { name: '0006-menu-home-and-look', class: Migration0006 },
  { name: '0007-changes-by-moment', class: Migration0007 },
  { name: '0008-comments-come-back', class: Migration0008 },
  { name: '0009-kinds-in-a-table', class: Migration0009 },
  { name: '0010-tries-counted-first', class: Migration0010 },
  { name: '0011-who-sent-a-file', class: Migration0011 },
  { name: '0012-lists-of-members', class: Migration0012 },
  { name: '0013-joining-by-code', class: Migration0013 },
  { name: '0014-lines-invitations-accounts', class: Migration0014 },
  { name: '0015-payments', class: Migration0015 },
  { name: '0016-registry', class: Migration0016 },
  { name: '0017-what-members-are-called', class: Migration0017 },
  { name: '0018-order-of-names', class: Migration0018 },
  { name: '0019-payments-for-a-period', class: Migration0019 },
  { name: '0020-handing-in', class: Migration0020 },
  { name: '0021-quizzes', class: Migration0021 },
  { name: '0022-discussions', class: Migration0022 },
  { name: '0023-films-meetings-surveys', class: Migration0023 },
  { name: '0024-what-goes-with-work', class: Migration0024 },
  { name: '0025-progress', class: Migration0025 },
  { name: '0026-desk-of-thousands', class: Migration0026 },
];

/**
 * Nobody waits for what does not come: for a connection, for a row that somebody else holds, for an answer; and whoever
 * stops in the middle of a change is let go, so that others do not wait for them. In milliseconds.
 */
export const BOUNDS = {
  // A process that was held up for a while would take its own lateness for the database's.
  connectionTimeoutMillis: 15_000,
  lock_timeout: 5_000,
  statement_timeout: 30_000,
  idle_in_transaction_session_timeout: 20_000,
};

/**
 * What is asked alone has connections of its own, beside those of transactions: many who wait for a row that somebody
 * holds never take the last one from those who only look. How many of each, for a process.
 */
const MOST = { alone: 8, transactions: 10 };

const poolOf = (max: number): PoolConfig => ({ min: 0, max, acquireTimeoutMillis: 30_000 });

class TwoPools extends PostgreSqlDriver {
  override async execute<T extends QueryResult | EntityData<AnyEntity> | EntityData<AnyEntity>[]>(
    query: Parameters<PostgreSqlDriver['execute']>[0],
    params: unknown[] = [],
    method: 'all' | 'get' | 'run' = 'all',
    within?: Transaction,
  ): Promise<T> {
    const connection = this.getConnection(within === undefined ? 'read' : 'write');
    return this.rethrow(connection.execute<T>(query, params, method, within));
  }
}

export async function connect(
  databaseUrl: string,
  bounds: Partial<typeof BOUNDS> = BOUNDS,
): Promise<Database> {
  return MikroORM.init({
    entities: ENTITIES,
    driver: TwoPools,
    clientUrl: databaseUrl,
    replicas: [{ clientUrl: databaseUrl, pool: poolOf(MOST.alone) }],
    namingStrategy: UnderscoreNamingStrategy,
    extensions: [Migrator],
    migrations: {
      migrationsList: MIGRATIONS,
      snapshot: false,
      transactional: true,
    },
    schemaGenerator: { skipTables: ['session', 'attempt', 'node_kind'] },
    pool: poolOf(MOST.transactions),
    driverOptions: { connection: { application_name: 'itinerary', ...bounds } },
    // What goes wrong is thrown, and logged where it is caught.
    logger: () => undefined,
    discovery: { warnWhenNoEntities: false },
  });
}

/** So that of several that begin at once one brings the tables up to date, and the others wait for that. */
const ONE_AT_A_TIME = 4_600_027;

/**
 * Brings the tables up to this release, and the kinds that core knows into theirs. Forward only.
 *
 * @throws Error where the database is of a later release
 */
export async function migrate(database: Database): Promise<void> {
  const connectionString = String(database.config.get('clientUrl'));
  // A connection of its own: it holds the lock however often the others come and go.
  const holder = new pg.Client({ connectionString, application_name: 'itinerary-migrations' });
  await holder.connect();
  try {
    await holder.query('select pg_advisory_lock($1)', [ONE_AT_A_TIME]);
    await mustBeKnown(holder);
    await bringUp(database, connectionString);
    // The queue of jobs has tables of its own, which its library keeps.
    await runMigrations({ connectionString });
    await holder.query(
      'insert into node_kind select jsonb_array_elements_text($1::jsonb) on conflict do nothing',
      [JSON.stringify(['section', ...ITEM_KINDS])],
    );
    await listCourses(database.em.fork());
  } finally {
    // The lock goes with it.
    await holder.end();
  }
}

/** A table with very much in it takes the time that it takes. */
async function bringUp(database: Database, connectionString: string): Promise<void> {
  if ((await database.getMigrator().getPendingMigrations()).length === 0) return;
  const unbounded = await connect(connectionString, {});
  try {
    await unbounded.getMigrator().up();
  } finally {
    await unbounded.close(true);
  }
}

/** What this release does not know it would read wrongly, and write over. */
async function mustBeKnown(client: pg.Client): Promise<void> {
  const there = await client.query<{ is: boolean }>(
    `select to_regclass('mikro_orm_migrations') is not null as is`,
  );
  if (there.rows[0]?.is !== true) return;
  const { rows } = await client.query<{ name: string }>('select name from mikro_orm_migrations order by id');
  const known = new Set<string>(MIGRATIONS.map(({ name }) => name));
  const later = rows.map(({ name }) => name).filter((name) => !known.has(name));
  if (later.length === 0) return;
  throw new Error(
    `The database is of a later release than this one: it has been brought to ${String(later.at(-1))}, and this release knows it up to ${String(MIGRATIONS.at(-1)?.name)}. Start that later release, or bring back what was kept before it.`,
  );
}
