/** The server, PostgreSQL and the stand-ins as processes of their own, each of which a test may kill. */
import type { ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { BASE } from '../../src/standins/registry/register-page.ts';
import { killed, pause, quietPort, started, startMortalPostgres } from './mortal.ts';
import type { MortalPostgres } from './mortal.ts';

const DATABASE = 'doors';

const folder = mkdtempSync(join(tmpdir(), 'itinerary-doors-'));
let postgres: MortalPostgres;
let ports: { server: number; page: number; smtp: number; returns: number; desk: number; registry: number };
const running = new Map<Victim, ChildProcess>();
export const VICTIMS = ['server', 'postgres', 'letters', 'desk', 'registry'] as const;
export type Victim = (typeof VICTIMS)[number];

async function start(victim: Exclude<Victim, 'postgres'>): Promise<void> {
  const child =
    victim === 'server'
      ? await started('main.js', /listening at/, {
          DATABASE_URL: postgres.url(DATABASE),
          SESSION_SECRET: 's',
          ITINERARY_DEMO: '1',
          PORT: String(ports.server),
          LOG_LEVEL: 'silent',
          ITINERARY_SMTP: `smtp://127.0.0.1:${ports.smtp}`,
          ITINERARY_DESK: `http://127.0.0.1:${ports.desk}`,
          ITINERARY_DESK_SECRET: 'secret',
          ITINERARY_REGISTRY: `http://127.0.0.1:${ports.registry}${BASE}`,
          ITINERARY_REGISTRY_TOKENS: `http://127.0.0.1:${ports.registry}/token`,
          ITINERARY_REGISTRY_NAME: 'itinerary',
          ITINERARY_REGISTRY_SECRET: 'secret',
        })
      : victim === 'letters'
        ? await started('letter-box.js', /letter box at/, {
            LETTER_BOX_PORT: String(ports.page),
            LETTER_BOX_SMTP: String(ports.smtp),
            LETTER_BOX_RETURNS: String(ports.returns),
            LETTER_BOX_FILE: join(folder, 'letters.jsonl'),
          })
        : victim === 'registry'
          ? await started('registry.js', /registry at/, {
              REGISTRY_PORT: String(ports.registry),
              REGISTRY_SECRET: 'secret',
              REGISTRY_FILE: join(folder, 'registry.jsonl'),
            })
          : await started('pay-desk.js', /payment desk at/, {
              PAY_DESK_PORT: String(ports.desk),
              PAY_DESK_SECRET: 'secret',
              PAY_DESK_FILE: join(folder, 'payments.jsonl'),
            });
  running.set(victim, child);
}

/** All of them, on a PostgreSQL that can be killed. */
export async function openDoors(): Promise<void> {
  ports = {
    server: await quietPort(),
    page: await quietPort(),
    smtp: await quietPort(),
    returns: await quietPort(),
    desk: await quietPort(),
    registry: await quietPort(),
  };
  postgres = await startMortalPostgres('doors-postgres', DATABASE);
  await start('letters');
  await start('desk');
  await start('registry');
  await start('server');
}

export async function closeDoors(): Promise<void> {
  for (const child of running.values()) child.kill('SIGKILL');
  await postgres.remove();
  rmSync(folder, { recursive: true, force: true });
}

/** Why one of them did not come back: whatever waits for it waits no longer. */
let away: Error | null = null;

export async function kill(victim: Victim): Promise<void> {
  try {
    if (victim === 'postgres') return await postgres.kill();
    await killed(running.get(victim)!);
    await start(victim);
  } catch (error) {
    away = new Error(`the ${victim} did not come back: ${String(error)}`);
    throw away;
  }
}

export const portOf = (door: keyof typeof ports): number => ports[door];
export const databaseUrl = (): string => postgres.url(DATABASE);

const at = (path: string): string => `http://127.0.0.1:${ports.server}${path}`;

const WAITS_MS = 30_000;

/** The answer, or null when none came or something was away. */
export async function ask<T>(
  cookie: string,
  path: string,
  body?: unknown,
  method: 'POST' | 'PUT' = 'POST',
): Promise<T | null> {
  try {
    const init = body === undefined ? {} : { method, body: JSON.stringify(body) };
    const response = await fetch(at(path), {
      ...init,
      headers: { 'content-type': 'application/json', cookie },
      signal: AbortSignal.timeout(WAITS_MS),
    });
    return response.ok ? ((await response.json()) as T) : null;
  } catch (error) {
    // Nobody waits for ever; that somebody had to wait so long is worth a line.
    if ((error as Error).name === 'TimeoutError') console.warn(`no answer in ${WAITS_MS} ms: ${path}`);
    return null;
  }
}

export async function until<T>(get: () => Promise<T | null>): Promise<T> {
  for (;;) {
    const answer = await get();
    if (answer !== null) return answer;
    if (away !== null) throw away;
    await pause(50);
  }
}

export async function signIn(address: string): Promise<string> {
  const response = await fetch(at('/api/session'), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ address, password: 'low-tide-at-nine' }),
  });
  const cookies = response.headers.getSetCookie();
  return cookies.find((one) => one.startsWith('itinerary='))?.split(';')[0] ?? '';
}

/** Past readiness, which these courses do not meet. */
export async function goLive(id: string): Promise<true | null> {
  const client = new pg.Client({
    connectionString: postgres.url(DATABASE),
    connectionTimeoutMillis: WAITS_MS,
  });
  client.on('error', () => undefined);
  try {
    await client.connect();
    await client.query(`update course set state = 'live', seq = seq + 1 where id = $1`, [id]);
    return true;
  } catch {
    return null;
  } finally {
    await client.end().catch(() => undefined);
  }
}

export const standIn = async <T>(port: number, path: string): Promise<T> =>
  (await (await fetch(`http://127.0.0.1:${port}${path}`)).json()) as T;
