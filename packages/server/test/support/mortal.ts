/** Processes that tests kill in the middle of their work: PostgreSQL with its usual durability, the server, the stand-ins. */
import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
// @ts-expect-error the bootstrap scripts are plain JavaScript
import { SERVER_DIST } from '../../../../scripts/lib/paths.mjs';
// @ts-expect-error the bootstrap scripts are plain JavaScript
import { startPostgres } from '../../../../scripts/lib/postgres.mjs';

interface Postgres {
  readonly url: (database: string) => string;
  readonly child: ChildProcess;
  readonly folder: string;
  readonly stop: () => Promise<void>;
  readonly createDatabase: (name: string) => Promise<boolean>;
}

/**
 * A port that the system gives to nobody by itself: what is killed and started again finds it free, however many other
 * tests open and close connections meanwhile.
 */
export async function quietPort(): Promise<number> {
  for (;;) {
    const port = 20_000 + Math.floor(Math.random() * 12_000);
    const isFree = await new Promise<boolean>((done) => {
      const probe = createServer();
      probe.once('error', () => done(false));
      probe.listen(port, '127.0.0.1', () => probe.close(() => done(true)));
    });
    if (isFree) return port;
  }
}

export const pause = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

/** @param ready what it says once it can be used */
export async function started(
  script: string,
  ready: RegExp,
  env: Record<string, string>,
): Promise<ChildProcess> {
  const child = spawn(process.execPath, [join(SERVER_DIST as string, script)], {
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  await new Promise<void>((resolve, reject) => {
    child.stdout?.on('data', (data: Buffer) => ready.test(data.toString()) && resolve());
    child.once('exit', (code) => reject(new Error(`${script} ended with ${String(code)}`)));
  });
  child.removeAllListeners('exit');
  return child;
}

/** @throws where it has fallen by itself before */
export const killed = (child: ChildProcess): Promise<void> =>
  new Promise((resolve, reject) => {
    if (child.exitCode !== null || child.signalCode !== null) {
      reject(new Error(`${String(child.spawnargs[1])} has ended by itself: ${String(child.exitCode)}`));
      return;
    }
    child.once('exit', () => resolve());
    child.kill('SIGKILL');
  });

export interface MortalPostgres {
  readonly url: (database: string) => string;
  /** Kills it, and starts it again on what it has left. */
  readonly kill: () => Promise<void>;
  readonly remove: () => Promise<void>;
}

/** With the demo data in a database of this name. */
export async function startMortalPostgres(folder: string, database: string): Promise<MortalPostgres> {
  const port = await quietPort();
  const start = async (): Promise<Postgres> => (await startPostgres(folder, { port })) as Postgres;
  let postgres = await start();
  await postgres.createDatabase(database);
  const loading = spawn(process.execPath, [join(SERVER_DIST as string, 'load-demo.js')], {
    env: { ...process.env, DATABASE_URL: postgres.url(database) },
    stdio: 'ignore',
  });
  await new Promise((resolve) => loading.once('exit', resolve));
  return {
    url: (name) => postgres.url(name),
    kill: async () => {
      await killed(postgres.child);
      postgres = await start();
    },
    remove: async () => {
      await postgres.stop();
      rmSync(postgres.folder, { recursive: true, force: true });
      rmSync(`${postgres.folder}.key`, { force: true });
    },
  };
}
