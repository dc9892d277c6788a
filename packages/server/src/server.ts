/** One server process: database, application, socket; started and stopped whole. */
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import pg from 'pg';
import { pino } from 'pino';
import type { Config } from './config/config.ts';
import { databaseId } from './db/database-id.ts';
import type { Database } from './db/orm.ts';
import { BOUNDS, connect, migrate } from './db/orm.ts';
import { openPulse } from './db/pulse.ts';
import { diskStore } from './files/file-store.ts';
import { openPieces } from './files/pieces.ts';
import { openFigures } from './figures/figures.ts';
import { serveFigures } from './figures/serve.ts';
import { createApp } from './http/app.ts';
import { diskFull } from './http/problem.ts';
import { openCleaning } from './text/cleaning.ts';
import { openJobs } from './jobs/jobs.ts';
import type { RunningJobs } from './jobs/jobs.ts';
import { openNotices } from './live/notices.ts';

/**
 * A connection that rests is kept longer than whoever is before the server keeps it, a minute as a rule: closed from
 * here just as it is used again, it would lose that request. Headers may come as late as that, too.
 */
const RESTS_MS = 75_000;
const HEADERS_MS = 80_000;

export interface RunningServer {
  readonly address: string;
  readonly database: Database;
  readonly jobs: Pick<RunningJobs, 'runNow' | 'clearNow' | 'returnsPort'>;
  /** Where its figures are read; null: nowhere. */
  readonly figuresPort: number | null;
  stop(): Promise<void>;
}

/** Connects, migrates and listens. Port 0 takes a free one. */
export async function startServer(config: Config): Promise<RunningServer> {
  const log = pino({ level: config.logLevel });
  const database = await connect(config.databaseUrl);
  await migrate(database);
  const pool = new pg.Pool({ connectionString: config.databaseUrl, max: 5, ...BOUNDS });
  // An idle connection that breaks must not end the process; the next query opens another.
  pool.on('error', (error) => log.warn({ err: error }, 'a session connection broke'));
  const pulse = await openPulse(database);
  const notices = openNotices(config.databaseUrl, log);
  const cleaning = openCleaning();
  const store = diskStore(config.filesFolder);
  // Before anybody clears anything away there.
  await store.usedBy(await databaseId(database.em.fork()));
  const pieces = await openPieces(config.filesFolder, diskFull);
  const figures = openFigures({ database, streams: notices.count });
  const door = config.figuresPort === null ? null : await serveFigures(figures, config.figuresPort);
  const jobs = await openJobs({ config, database, log, figures, clearing: { store, pieces } });
  const http = createServer(
    createApp({ config, database, pool, pulse, log, notices, cleaning, pieces, figures }),
  );
  http.keepAliveTimeout = RESTS_MS;
  http.headersTimeout = HEADERS_MS;
  await new Promise<void>((resolve, reject) => {
    http.once('error', reject);
    http.listen(config.port, config.host, resolve);
  });
  const { port } = http.address() as AddressInfo;
  return {
    address: `http://${config.host}:${port}`,
    database,
    jobs,
    figuresPort: door?.port ?? null,
    stop: async () => {
      await new Promise((resolve) => {
        http.close(resolve);
        http.closeAllConnections();
      });
      await door?.close();
      await jobs.stop();
      await cleaning.close();
      await notices.stop();
      await pool.end();
      await pulse.end();
      await database.close(true);
    },
  };
}
