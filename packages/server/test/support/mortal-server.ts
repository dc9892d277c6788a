/** A server and its PostgreSQL, each of which a test may kill and gets back as it was left. */
import type { ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { killed, pause, quietPort, started, startMortalPostgres } from './mortal.ts';
import type { MortalPostgres } from './mortal.ts';

export interface Asked {
  readonly status: number;
  readonly body: unknown;
}

export interface MortalServer {
  readonly databaseUrl: () => string;
  readonly kill: (victim: 'server' | 'postgres') => Promise<void>;
  /** For good. */
  readonly fell: () => Promise<void>;
  readonly remove: () => Promise<void>;
  /** What it says; null: nothing came, or something was away. */
  readonly send: (cookie: string, method: string, path: string, body?: unknown) => Promise<Asked | null>;
  /** What it says where it is well; null otherwise. */
  readonly ask: (cookie: string, path: string, body?: unknown) => Promise<unknown>;
  readonly signIn: (address: string) => Promise<string>;
  /** As one of the demo's people, by their id: without a password, and as many as there are. */
  readonly enter: (person: string) => Promise<string>;
}

/** @param name of the folder and of the database */
export async function startMortalServer(name: string): Promise<MortalServer> {
  const port = await quietPort();
  const files = mkdtempSync(join(tmpdir(), 'itinerary-files-'));
  const postgres: MortalPostgres = await startMortalPostgres(`${name}-postgres`, name);
  const start = (): Promise<ChildProcess> =>
    started('main.js', /listening at/, {
      DATABASE_URL: postgres.url(name),
      SESSION_SECRET: 's',
      ITINERARY_DEMO: '1',
      ITINERARY_FILES: files,
      PORT: String(port),
      LOG_LEVEL: 'silent',
    });
  let server = await start();
  const at = (path: string): string => `http://127.0.0.1:${port}${path}`;
  async function send(cookie: string, method: string, path: string, body?: unknown): Promise<Asked | null> {
    const isFile = Buffer.isBuffer(body);
    const type = isFile ? 'application/octet-stream' : 'application/json';
    try {
      const response = await fetch(at(path), {
        method,
        headers: { 'content-type': type, cookie },
        ...(body === undefined ? {} : { body: isFile ? new Uint8Array(body) : JSON.stringify(body) }),
      });
      if (response.status >= 500) return null;
      const isEmpty = response.status === 204;
      return { status: response.status, body: isEmpty ? null : await response.json() };
    } catch {
      return null;
    }
  }
  const entered = async (path: string, body: object): Promise<string> => {
    const response = await fetch(at(path), {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    const cookies = response.headers.getSetCookie();
    return cookies.find((one) => one.startsWith('itinerary='))?.split(';')[0] ?? '';
  };
  return {
    databaseUrl: () => postgres.url(name),
    kill: async (victim) => {
      if (victim === 'postgres') return postgres.kill();
      await killed(server);
      server = await start();
    },
    fell: () => killed(server),
    remove: async () => {
      server.kill('SIGKILL');
      await postgres.remove();
      rmSync(files, { recursive: true, force: true });
    },
    send,
    ask: async (cookie, path, body) => {
      const answer = await send(cookie, body === undefined ? 'GET' : 'POST', path, body);
      return answer !== null && answer.status < 400 ? answer.body : null;
    },
    signIn: (address) => entered('/api/session', { address, password: 'low-tide-at-nine' }),
    enter: (person) => entered('/api/demo/session', { person }),
  };
}

/**
 * The server and PostgreSQL in turn, each among what is under way, however fast the machine is.
 *
 * @param done how much has been answered so far
 */
export async function killInTurn(
  mortal: Pick<MortalServer, 'kill'>,
  {
    kills,
    between,
    done,
    random,
  }: {
    readonly kills: number;
    readonly between: number;
    readonly done: () => number;
    readonly random: () => number;
  },
): Promise<void> {
  for (let turn = 0; turn < kills; turn += 1) {
    const enough = done() + between;
    while (done() < enough) await pause(10);
    await pause(random() * 300);
    await mortal.kill(turn % 2 === 0 ? 'server' : 'postgres');
  }
  await pause(500);
}
